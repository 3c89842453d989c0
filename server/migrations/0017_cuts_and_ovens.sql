CREATE TABLE `oven` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`name` text NOT NULL,
	`tray_width_mm` real NOT NULL,
	`tray_length_mm` real NOT NULL,
	`readings` text NOT NULL
);
--> statement-breakpoint
PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_layer` (
	`id` text PRIMARY KEY NOT NULL,
	`piece_id` text NOT NULL,
	`position` integer NOT NULL,
	`clay_id` text,
	`revision_id` text,
	`made_id` text,
	`tub_id` text,
	`pattern_revision_id` text,
	`setting_id` text NOT NULL,
	FOREIGN KEY (`piece_id`) REFERENCES `piece`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clay_id`) REFERENCES `clay`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`revision_id`) REFERENCES `revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`made_id`) REFERENCES `sheet`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`tub_id`) REFERENCES `tub`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`pattern_revision_id`) REFERENCES `pattern_revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`setting_id`) REFERENCES `setting`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "layer_of_one" CHECK(("__new_layer"."clay_id" is not null) + ("__new_layer"."revision_id" is not null) + ("__new_layer"."made_id" is not null) + ("__new_layer"."tub_id" is not null) + ("__new_layer"."pattern_revision_id" is not null) = 1)
);
--> statement-breakpoint
INSERT INTO `__new_layer`("id", "piece_id", "position", "clay_id", "revision_id", "made_id", "tub_id", "pattern_revision_id", "setting_id") SELECT "id", "piece_id", "position", "clay_id", "revision_id", "made_id", "tub_id", NULL, "setting_id" FROM `layer`;--> statement-breakpoint
DROP TABLE `layer`;--> statement-breakpoint
ALTER TABLE `__new_layer` RENAME TO `layer`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `layer_piece` ON `layer` (`piece_id`);--> statement-breakpoint
CREATE INDEX `layer_revision` ON `layer` (`revision_id`);--> statement-breakpoint
CREATE INDEX `layer_made` ON `layer` (`made_id`);--> statement-breakpoint
CREATE INDEX `layer_pattern` ON `layer` (`pattern_revision_id`);--> statement-breakpoint
ALTER TABLE `sheet` ADD `seen` text;--> statement-breakpoint
ALTER TABLE `pattern` ADD `cuts` text;--> statement-breakpoint
ALTER TABLE `piece` ADD `placed` text;