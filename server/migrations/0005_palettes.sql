CREATE TABLE `palette` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`name` text NOT NULL,
	`note` text NOT NULL,
	`picture_id` text,
	`gain_r` real NOT NULL,
	`gain_g` real NOT NULL,
	`gain_b` real NOT NULL,
	FOREIGN KEY (`picture_id`) REFERENCES `picture`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `picture` (
	`id` text PRIMARY KEY NOT NULL,
	`type` text NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`data` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `swatch` (
	`id` text PRIMARY KEY NOT NULL,
	`palette_id` text NOT NULL,
	`position` integer NOT NULL,
	`name` text NOT NULL,
	`l` real NOT NULL,
	`a` real NOT NULL,
	`b` real NOT NULL,
	`share` real,
	FOREIGN KEY (`palette_id`) REFERENCES `palette`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `swatch_palette` ON `swatch` (`palette_id`);