CREATE TABLE `entry_finding` (
	`id` text PRIMARY KEY NOT NULL,
	`entry_id` text NOT NULL,
	`name` text NOT NULL,
	`count` integer NOT NULL,
	FOREIGN KEY (`entry_id`) REFERENCES `entry`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `entry_finding_entry` ON `entry_finding` (`entry_id`);--> statement-breakpoint
CREATE TABLE `assembly` (
	`id` text PRIMARY KEY NOT NULL,
	`batch_id` text NOT NULL,
	`position` integer NOT NULL,
	`name` text NOT NULL,
	`count` integer NOT NULL,
	`spare` integer NOT NULL,
	`bridge_mm` real NOT NULL,
	`piece` text NOT NULL,
	`finish` text NOT NULL,
	`prices` text NOT NULL,
	FOREIGN KEY (`batch_id`) REFERENCES `batch`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `assembly_batch` ON `assembly` (`batch_id`);--> statement-breakpoint
CREATE TABLE `assembly_use` (
	`id` text PRIMARY KEY NOT NULL,
	`assembly_id` text NOT NULL,
	`clay_id` text,
	`revision_id` text,
	`blend_revision_id` text,
	`cane_revision_id` text,
	`pattern_revision_id` text,
	`made_id` text,
	`tub_id` text,
	FOREIGN KEY (`assembly_id`) REFERENCES `assembly`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clay_id`) REFERENCES `clay`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`revision_id`) REFERENCES `revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`blend_revision_id`) REFERENCES `blend_revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`cane_revision_id`) REFERENCES `cane_revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`pattern_revision_id`) REFERENCES `pattern_revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`made_id`) REFERENCES `sheet`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`tub_id`) REFERENCES `tub`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "assembly_use_of_one" CHECK(("assembly_use"."clay_id" is not null) + ("assembly_use"."revision_id" is not null) + ("assembly_use"."blend_revision_id" is not null) + ("assembly_use"."cane_revision_id" is not null) + ("assembly_use"."pattern_revision_id" is not null) + ("assembly_use"."made_id" is not null) + ("assembly_use"."tub_id" is not null) = 1)
);
--> statement-breakpoint
CREATE INDEX `assembly_use_assembly` ON `assembly_use` (`assembly_id`);--> statement-breakpoint
CREATE INDEX `assembly_use_clay` ON `assembly_use` (`clay_id`);--> statement-breakpoint
CREATE INDEX `assembly_use_mix` ON `assembly_use` (`revision_id`);--> statement-breakpoint
CREATE INDEX `assembly_use_blend` ON `assembly_use` (`blend_revision_id`);--> statement-breakpoint
CREATE INDEX `assembly_use_cane` ON `assembly_use` (`cane_revision_id`);--> statement-breakpoint
CREATE INDEX `assembly_use_pattern` ON `assembly_use` (`pattern_revision_id`);--> statement-breakpoint
CREATE INDEX `assembly_use_made` ON `assembly_use` (`made_id`);--> statement-breakpoint
CREATE TABLE `day_rule` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`weekdays` text NOT NULL,
	`exceptions` text NOT NULL,
	`moves` text NOT NULL,
	`done` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `finding` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`name` text NOT NULL,
	`form` text NOT NULL,
	`width_mm` real NOT NULL,
	`length_mm` real NOT NULL,
	`count` integer NOT NULL,
	`price` real,
	`kept_in` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `piece_model` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`name` text NOT NULL,
	`piece` text NOT NULL,
	`finish` text NOT NULL
);
--> statement-breakpoint
ALTER TABLE `entry_piece` ADD `piece` text;--> statement-breakpoint
ALTER TABLE `bench_setup` ADD `hourly` real;--> statement-breakpoint
ALTER TABLE `bench_setup` ADD `overhead` real;--> statement-breakpoint
ALTER TABLE `piece` ADD `finish` text;--> statement-breakpoint
ALTER TABLE `piece` ADD `prices` text;