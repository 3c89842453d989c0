CREATE TABLE `entry_pattern` (
	`id` text PRIMARY KEY NOT NULL,
	`entry_id` text NOT NULL,
	`pattern_revision_id` text NOT NULL,
	`hands` integer NOT NULL,
	`stops` text NOT NULL,
	`liked` text,
	`picture_id` text,
	FOREIGN KEY (`entry_id`) REFERENCES `entry`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`pattern_revision_id`) REFERENCES `pattern_revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`picture_id`) REFERENCES `picture`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `entry_pattern_entry` ON `entry_pattern` (`entry_id`);--> statement-breakpoint
CREATE INDEX `entry_pattern_revision` ON `entry_pattern` (`pattern_revision_id`);--> statement-breakpoint
CREATE TABLE `pattern_revision` (
	`id` text PRIMARY KEY NOT NULL,
	`pattern_id` text NOT NULL,
	`number` integer NOT NULL,
	`created_at` text NOT NULL,
	`program` text NOT NULL,
	`wanted` text,
	FOREIGN KEY (`pattern_id`) REFERENCES `pattern`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `pattern_revision_number` ON `pattern_revision` (`pattern_id`,`number`);--> statement-breakpoint
CREATE TABLE `pattern_use` (
	`id` text PRIMARY KEY NOT NULL,
	`pattern_revision_id` text NOT NULL,
	`clay_id` text,
	`revision_id` text,
	`blend_revision_id` text,
	FOREIGN KEY (`pattern_revision_id`) REFERENCES `pattern_revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clay_id`) REFERENCES `clay`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`revision_id`) REFERENCES `revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`blend_revision_id`) REFERENCES `blend_revision`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "pattern_use_of_one" CHECK(("pattern_use"."clay_id" is not null) + ("pattern_use"."revision_id" is not null) + ("pattern_use"."blend_revision_id" is not null) = 1)
);
--> statement-breakpoint
CREATE INDEX `pattern_use_revision` ON `pattern_use` (`pattern_revision_id`);--> statement-breakpoint
CREATE INDEX `pattern_use_clay` ON `pattern_use` (`clay_id`);--> statement-breakpoint
CREATE INDEX `pattern_use_mix` ON `pattern_use` (`revision_id`);--> statement-breakpoint
CREATE INDEX `pattern_use_blend` ON `pattern_use` (`blend_revision_id`);--> statement-breakpoint
CREATE TABLE `pattern` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`name` text NOT NULL,
	`note` text NOT NULL,
	`retired` integer NOT NULL
);
--> statement-breakpoint
PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_sheet` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`entry_id` text NOT NULL,
	`name` text NOT NULL,
	`note` text NOT NULL,
	`form` text NOT NULL,
	`clay_id` text,
	`revision_id` text,
	`blend_revision_id` text,
	`cane_revision_id` text,
	`pattern_revision_id` text,
	`count` integer DEFAULT 1 NOT NULL,
	`kept_in` text DEFAULT '' NOT NULL,
	`rolled_at` text NOT NULL,
	`width_mm` real NOT NULL,
	`length_mm` real NOT NULL,
	`mm` real NOT NULL,
	`layers` integer NOT NULL,
	`grams` real NOT NULL,
	`cuts` text NOT NULL,
	`inside` text,
	`gone` integer NOT NULL,
	FOREIGN KEY (`entry_id`) REFERENCES `entry`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clay_id`) REFERENCES `clay`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`revision_id`) REFERENCES `revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`blend_revision_id`) REFERENCES `blend_revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`cane_revision_id`) REFERENCES `cane_revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`pattern_revision_id`) REFERENCES `pattern_revision`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "sheet_of_one" CHECK(("__new_sheet"."clay_id" is not null) + ("__new_sheet"."revision_id" is not null) + ("__new_sheet"."blend_revision_id" is not null) + ("__new_sheet"."cane_revision_id" is not null) + ("__new_sheet"."pattern_revision_id" is not null) = 1)
);
--> statement-breakpoint
INSERT INTO `__new_sheet`("id", "version", "entry_id", "name", "note", "form", "clay_id", "revision_id", "blend_revision_id", "cane_revision_id", "pattern_revision_id", "count", "kept_in", "rolled_at", "width_mm", "length_mm", "mm", "layers", "grams", "cuts", "inside", "gone") SELECT "id", "version", "entry_id", "name", "note", "form", "clay_id", "revision_id", "blend_revision_id", "cane_revision_id", NULL, "count", "kept_in", "rolled_at", "width_mm", "length_mm", "mm", "layers", "grams", "cuts", "inside", "gone" FROM `sheet`;--> statement-breakpoint
DROP TABLE `sheet`;--> statement-breakpoint
ALTER TABLE `__new_sheet` RENAME TO `sheet`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `sheet_entry` ON `sheet` (`entry_id`);--> statement-breakpoint
CREATE INDEX `sheet_clay` ON `sheet` (`clay_id`);