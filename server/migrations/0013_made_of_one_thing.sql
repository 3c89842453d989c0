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
	CONSTRAINT "sheet_of_one" CHECK(("clay_id" is not null) + ("revision_id" is not null) + ("blend_revision_id" is not null) = 1)
);
--> statement-breakpoint
INSERT INTO `__new_sheet`("id", "version", "entry_id", "name", "note", "form", "clay_id", "revision_id", "blend_revision_id", "rolled_at", "width_mm", "length_mm", "mm", "layers", "grams", "cuts", "inside", "gone") SELECT "id", "version", "entry_id", "name", "note", "form", "clay_id", CASE WHEN "clay_id" IS NULL THEN "revision_id" END, CASE WHEN "clay_id" IS NULL AND "revision_id" IS NULL THEN "blend_revision_id" END, "rolled_at", "width_mm", "length_mm", "mm", "layers", "grams", "cuts", "inside", "gone" FROM `sheet` WHERE coalesce("clay_id", "revision_id", "blend_revision_id") IS NOT NULL;--> statement-breakpoint
DROP TABLE `sheet`;--> statement-breakpoint
ALTER TABLE `__new_sheet` RENAME TO `sheet`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `sheet_entry` ON `sheet` (`entry_id`);--> statement-breakpoint
CREATE INDEX `sheet_clay` ON `sheet` (`clay_id`);--> statement-breakpoint
CREATE TABLE `__new_blend_colour` (
	`id` text PRIMARY KEY NOT NULL,
	`blend_revision_id` text NOT NULL,
	`position` integer NOT NULL,
	`clay_id` text,
	`revision_id` text,
	FOREIGN KEY (`blend_revision_id`) REFERENCES `blend_revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clay_id`) REFERENCES `clay`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`revision_id`) REFERENCES `revision`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "blend_colour_of_one" CHECK(("clay_id" is not null) + ("revision_id" is not null) = 1)
);
--> statement-breakpoint
INSERT INTO `__new_blend_colour`("id", "blend_revision_id", "position", "clay_id", "revision_id") SELECT "id", "blend_revision_id", "position", "clay_id", CASE WHEN "clay_id" IS NULL THEN "revision_id" END FROM `blend_colour` WHERE coalesce("clay_id", "revision_id") IS NOT NULL;--> statement-breakpoint
DROP TABLE `blend_colour`;--> statement-breakpoint
ALTER TABLE `__new_blend_colour` RENAME TO `blend_colour`;--> statement-breakpoint
CREATE INDEX `blend_colour_revision` ON `blend_colour` (`blend_revision_id`);--> statement-breakpoint
CREATE INDEX `blend_colour_mix` ON `blend_colour` (`revision_id`);--> statement-breakpoint
CREATE INDEX `blend_colour_clay` ON `blend_colour` (`clay_id`);--> statement-breakpoint
CREATE TABLE `__new_cane_use` (
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
	FOREIGN KEY (`inner_id`) REFERENCES `cane_revision`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "cane_use_of_one" CHECK(("clay_id" is not null) + ("revision_id" is not null) + ("blend_revision_id" is not null) + ("inner_id" is not null) = 1)
);
--> statement-breakpoint
INSERT INTO `__new_cane_use`("id", "cane_revision_id", "clay_id", "revision_id", "blend_revision_id", "inner_id") SELECT "id", "cane_revision_id", "clay_id", CASE WHEN "clay_id" IS NULL THEN "revision_id" END, CASE WHEN "clay_id" IS NULL AND "revision_id" IS NULL THEN "blend_revision_id" END, CASE WHEN "clay_id" IS NULL AND "revision_id" IS NULL AND "blend_revision_id" IS NULL THEN "inner_id" END FROM `cane_use` WHERE coalesce("clay_id", "revision_id", "blend_revision_id", "inner_id") IS NOT NULL;--> statement-breakpoint
DROP TABLE `cane_use`;--> statement-breakpoint
ALTER TABLE `__new_cane_use` RENAME TO `cane_use`;--> statement-breakpoint
CREATE INDEX `cane_use_revision` ON `cane_use` (`cane_revision_id`);--> statement-breakpoint
CREATE INDEX `cane_use_clay` ON `cane_use` (`clay_id`);--> statement-breakpoint
CREATE INDEX `cane_use_mix` ON `cane_use` (`revision_id`);--> statement-breakpoint
CREATE INDEX `cane_use_blend` ON `cane_use` (`blend_revision_id`);--> statement-breakpoint
CREATE INDEX `cane_use_inner` ON `cane_use` (`inner_id`);--> statement-breakpoint
CREATE TABLE `__new_ingredient` (
	`id` text PRIMARY KEY NOT NULL,
	`revision_id` text NOT NULL,
	`position` integer NOT NULL,
	`parts` text NOT NULL,
	`clay_id` text,
	`inner_revision_id` text,
	FOREIGN KEY (`revision_id`) REFERENCES `revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clay_id`) REFERENCES `clay`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`inner_revision_id`) REFERENCES `revision`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "ingredient_of_one" CHECK(("clay_id" is not null) + ("inner_revision_id" is not null) = 1)
);
--> statement-breakpoint
INSERT INTO `__new_ingredient`("id", "revision_id", "position", "parts", "clay_id", "inner_revision_id") SELECT "id", "revision_id", "position", "parts", "clay_id", CASE WHEN "clay_id" IS NULL THEN "inner_revision_id" END FROM `ingredient` WHERE coalesce("clay_id", "inner_revision_id") IS NOT NULL;--> statement-breakpoint
DROP TABLE `ingredient`;--> statement-breakpoint
ALTER TABLE `__new_ingredient` RENAME TO `ingredient`;--> statement-breakpoint
CREATE INDEX `ingredient_revision` ON `ingredient` (`revision_id`);--> statement-breakpoint
CREATE INDEX `ingredient_clay` ON `ingredient` (`clay_id`);--> statement-breakpoint
CREATE INDEX `ingredient_inner` ON `ingredient` (`inner_revision_id`);--> statement-breakpoint
CREATE TABLE `__new_layer` (
	`id` text PRIMARY KEY NOT NULL,
	`piece_id` text NOT NULL,
	`position` integer NOT NULL,
	`clay_id` text,
	`revision_id` text,
	`setting_id` text NOT NULL,
	FOREIGN KEY (`piece_id`) REFERENCES `piece`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clay_id`) REFERENCES `clay`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`revision_id`) REFERENCES `revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`setting_id`) REFERENCES `setting`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "layer_of_one" CHECK(("clay_id" is not null) + ("revision_id" is not null) = 1)
);
--> statement-breakpoint
INSERT INTO `__new_layer`("id", "piece_id", "position", "clay_id", "revision_id", "setting_id") SELECT "id", "piece_id", "position", "clay_id", CASE WHEN "clay_id" IS NULL THEN "revision_id" END, "setting_id" FROM `layer` WHERE coalesce("clay_id", "revision_id") IS NOT NULL;--> statement-breakpoint
DROP TABLE `layer`;--> statement-breakpoint
ALTER TABLE `__new_layer` RENAME TO `layer`;--> statement-breakpoint
CREATE INDEX `layer_piece` ON `layer` (`piece_id`);--> statement-breakpoint
CREATE INDEX `layer_revision` ON `layer` (`revision_id`);