CREATE TABLE `cutter` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`name` text NOT NULL,
	`shape` text NOT NULL,
	`width_mm` real NOT NULL,
	`height_mm` real,
	`rim_mm` real,
	`points` text
);
--> statement-breakpoint
ALTER TABLE `entry_piece` ADD `shape` text;--> statement-breakpoint
ALTER TABLE `entry_piece` ADD `rim_mm` real;--> statement-breakpoint
ALTER TABLE `entry_piece` ADD `points` text;--> statement-breakpoint
ALTER TABLE `line` ADD `toughness` text;--> statement-breakpoint
ALTER TABLE `piece` ADD `rim_mm` real;--> statement-breakpoint
ALTER TABLE `piece` ADD `points` text;--> statement-breakpoint
ALTER TABLE `piece` ADD `pairs` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `piece` ADD `lie` text DEFAULT 'close' NOT NULL;--> statement-breakpoint
ALTER TABLE `piece` ADD `film` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `setting` ADD `called` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `tub` ADD `takes` text DEFAULT '[]' NOT NULL;