CREATE TABLE `bench_now` (
	`id` text PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`place` integer NOT NULL,
	`value` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `entry_picture` (
	`id` text PRIMARY KEY NOT NULL,
	`entry_id` text NOT NULL,
	`picture_id` text NOT NULL,
	`position` integer NOT NULL,
	FOREIGN KEY (`entry_id`) REFERENCES `entry`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`picture_id`) REFERENCES `picture`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `entry_picture_entry` ON `entry_picture` (`entry_id`);--> statement-breakpoint
CREATE INDEX `entry_picture_picture` ON `entry_picture` (`picture_id`);