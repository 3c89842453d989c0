CREATE TABLE `entry_bake` (
	`id` text PRIMARY KEY NOT NULL,
	`entry_id` text NOT NULL,
	`oven_name` text NOT NULL,
	`dial` real,
	`celsius` real NOT NULL,
	`low` real NOT NULL,
	`high` real NOT NULL,
	`max_c` real NOT NULL,
	`minutes` real NOT NULL,
	`lasted` real NOT NULL,
	`in_band` real,
	`hottest` real,
	`curve` text NOT NULL,
	`items` text NOT NULL,
	FOREIGN KEY (`entry_id`) REFERENCES `entry`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `entry_bake_entry` ON `entry_bake` (`entry_id`);--> statement-breakpoint
CREATE TABLE `entry_time` (
	`id` text PRIMARY KEY NOT NULL,
	`entry_id` text NOT NULL,
	`key` text NOT NULL,
	`usual` real NOT NULL,
	`minutes` real NOT NULL,
	FOREIGN KEY (`entry_id`) REFERENCES `entry`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `entry_time_entry` ON `entry_time` (`entry_id`);--> statement-breakpoint
ALTER TABLE `entry` ADD `part` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `bench_setup` ADD `oven_id` text REFERENCES oven(id);--> statement-breakpoint
ALTER TABLE `line` ADD `own_c` real;--> statement-breakpoint
ALTER TABLE `line` ADD `own_minutes` real;