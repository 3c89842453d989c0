CREATE TABLE `entry_cane` (
	`id` text PRIMARY KEY NOT NULL,
	`entry_id` text NOT NULL,
	`cane_revision_id` text NOT NULL,
	`diameter_mm` real NOT NULL,
	`length_mm` real NOT NULL,
	`lost_mm` real NOT NULL,
	`slices` integer NOT NULL,
	`picture_id` text,
	FOREIGN KEY (`entry_id`) REFERENCES `entry`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`cane_revision_id`) REFERENCES `cane_revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`picture_id`) REFERENCES `picture`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `entry_cane_entry` ON `entry_cane` (`entry_id`);--> statement-breakpoint
CREATE INDEX `entry_cane_revision` ON `entry_cane` (`cane_revision_id`);--> statement-breakpoint
CREATE TABLE `cane_revision` (
	`id` text PRIMARY KEY NOT NULL,
	`cane_id` text NOT NULL,
	`number` integer NOT NULL,
	`created_at` text NOT NULL,
	`program` text NOT NULL,
	`slices` integer NOT NULL,
	`slice_mm` real NOT NULL,
	`trimming` text NOT NULL,
	`ends` real,
	FOREIGN KEY (`cane_id`) REFERENCES `cane`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `cane_revision_number` ON `cane_revision` (`cane_id`,`number`);--> statement-breakpoint
CREATE TABLE `cane_use` (
	`id` text PRIMARY KEY NOT NULL,
	`cane_revision_id` text NOT NULL,
	`clay_id` text,
	`revision_id` text,
	`blend_revision_id` text,
	`inner_id` text,
	FOREIGN KEY (`cane_revision_id`) REFERENCES `cane_revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clay_id`) REFERENCES `clay`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`revision_id`) REFERENCES `revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`blend_revision_id`) REFERENCES `blend_revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`inner_id`) REFERENCES `cane_revision`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `cane_use_revision` ON `cane_use` (`cane_revision_id`);--> statement-breakpoint
CREATE INDEX `cane_use_clay` ON `cane_use` (`clay_id`);--> statement-breakpoint
CREATE INDEX `cane_use_mix` ON `cane_use` (`revision_id`);--> statement-breakpoint
CREATE INDEX `cane_use_blend` ON `cane_use` (`blend_revision_id`);--> statement-breakpoint
CREATE INDEX `cane_use_inner` ON `cane_use` (`inner_id`);--> statement-breakpoint
CREATE TABLE `cane` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`name` text NOT NULL,
	`note` text NOT NULL,
	`retired` integer NOT NULL
);
