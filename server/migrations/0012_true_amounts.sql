ALTER TABLE `entry_cane` ADD `trims` text;--> statement-breakpoint
ALTER TABLE `bench_setup` ADD `gauges` text;--> statement-breakpoint
ALTER TABLE `bench_setup` ADD `condition_setting_id` text REFERENCES setting(id);--> statement-breakpoint
ALTER TABLE `bench_setup` ADD `condition_passes` integer;--> statement-breakpoint
ALTER TABLE `piece` ADD `edge_mm` real;