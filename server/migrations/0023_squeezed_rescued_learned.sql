CREATE TABLE `set_aside` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL
);
--> statement-breakpoint
ALTER TABLE `entry` ADD `outcome` text;--> statement-breakpoint
ALTER TABLE `entry_conditioning` ADD `squeeze` text;--> statement-breakpoint
ALTER TABLE `entry_picture` ADD `lay` text;--> statement-breakpoint
ALTER TABLE `entry_picture` ADD `marks` text;--> statement-breakpoint
ALTER TABLE `bench_setup` ADD `condition_school` text;--> statement-breakpoint
ALTER TABLE `block` ADD `squeezed` text;--> statement-breakpoint
ALTER TABLE `block` ADD `squeezed_on` text;--> statement-breakpoint
ALTER TABLE `block` ADD `inside` text;--> statement-breakpoint
ALTER TABLE `picture` ADD `small` text;