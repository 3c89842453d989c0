CREATE TABLE `flow` (
	`id` text PRIMARY KEY NOT NULL,
	`entry_id` text NOT NULL,
	`kind` text NOT NULL,
	`made_id` text,
	`tub_id` text,
	`grams` real NOT NULL,
	FOREIGN KEY (`entry_id`) REFERENCES `entry`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`made_id`) REFERENCES `sheet`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`tub_id`) REFERENCES `tub`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `flow_entry` ON `flow` (`entry_id`);--> statement-breakpoint
CREATE INDEX `flow_made` ON `flow` (`made_id`);--> statement-breakpoint
CREATE INDEX `flow_tub` ON `flow` (`tub_id`);--> statement-breakpoint
CREATE TABLE `tub_content` (
	`id` text PRIMARY KEY NOT NULL,
	`tub_id` text NOT NULL,
	`clay_id` text NOT NULL,
	`grams` real NOT NULL,
	FOREIGN KEY (`tub_id`) REFERENCES `tub`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clay_id`) REFERENCES `clay`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `tub_content_tub` ON `tub_content` (`tub_id`);--> statement-breakpoint
CREATE TABLE `tub` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`name` text NOT NULL,
	`kept_in` text NOT NULL,
	`rule` text NOT NULL,
	`clay_id` text,
	`revision_id` text,
	`blend_revision_id` text,
	FOREIGN KEY (`clay_id`) REFERENCES `clay`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`revision_id`) REFERENCES `revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`blend_revision_id`) REFERENCES `blend_revision`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `tub_clay` ON `tub` (`clay_id`);--> statement-breakpoint
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
	CONSTRAINT "sheet_of_one" CHECK(("__new_sheet"."clay_id" is not null) + ("__new_sheet"."revision_id" is not null) + ("__new_sheet"."blend_revision_id" is not null) + ("__new_sheet"."cane_revision_id" is not null) = 1)
);
--> statement-breakpoint
INSERT INTO `__new_sheet`("id", "version", "entry_id", "name", "note", "form", "clay_id", "revision_id", "blend_revision_id", "cane_revision_id", "count", "kept_in", "rolled_at", "width_mm", "length_mm", "mm", "layers", "grams", "cuts", "inside", "gone") SELECT "id", "version", "entry_id", "name", "note", "form", "clay_id", "revision_id", "blend_revision_id", NULL, 1, '', "rolled_at", "width_mm", "length_mm", "mm", "layers", "grams", "cuts", "inside", "gone" FROM `sheet`;--> statement-breakpoint
DROP TABLE `sheet`;--> statement-breakpoint
ALTER TABLE `__new_sheet` RENAME TO `sheet`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `sheet_entry` ON `sheet` (`entry_id`);--> statement-breakpoint
CREATE INDEX `sheet_clay` ON `sheet` (`clay_id`);--> statement-breakpoint
CREATE TABLE `__new_layer` (
	`id` text PRIMARY KEY NOT NULL,
	`piece_id` text NOT NULL,
	`position` integer NOT NULL,
	`clay_id` text,
	`revision_id` text,
	`made_id` text,
	`tub_id` text,
	`setting_id` text NOT NULL,
	FOREIGN KEY (`piece_id`) REFERENCES `piece`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clay_id`) REFERENCES `clay`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`revision_id`) REFERENCES `revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`made_id`) REFERENCES `sheet`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`tub_id`) REFERENCES `tub`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`setting_id`) REFERENCES `setting`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "layer_of_one" CHECK(("__new_layer"."clay_id" is not null) + ("__new_layer"."revision_id" is not null) + ("__new_layer"."made_id" is not null) + ("__new_layer"."tub_id" is not null) = 1)
);
--> statement-breakpoint
INSERT INTO `__new_layer`("id", "piece_id", "position", "clay_id", "revision_id", "made_id", "tub_id", "setting_id") SELECT "id", "piece_id", "position", "clay_id", "revision_id", NULL, NULL, "setting_id" FROM `layer`;--> statement-breakpoint
DROP TABLE `layer`;--> statement-breakpoint
ALTER TABLE `__new_layer` RENAME TO `layer`;--> statement-breakpoint
CREATE INDEX `layer_piece` ON `layer` (`piece_id`);--> statement-breakpoint
CREATE INDEX `layer_revision` ON `layer` (`revision_id`);--> statement-breakpoint
CREATE INDEX `layer_made` ON `layer` (`made_id`);