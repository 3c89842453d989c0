CREATE TABLE `entry_conditioning` (
	`id` text PRIMARY KEY NOT NULL,
	`entry_id` text NOT NULL,
	`clay_id` text NOT NULL,
	`firmness` text NOT NULL,
	`months` real,
	`room_c` real NOT NULL,
	`school` text NOT NULL,
	`passes` integer NOT NULL,
	`grams` real NOT NULL,
	FOREIGN KEY (`entry_id`) REFERENCES `entry`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clay_id`) REFERENCES `clay`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `entry_conditioning_entry` ON `entry_conditioning` (`entry_id`);--> statement-breakpoint
CREATE INDEX `entry_conditioning_clay` ON `entry_conditioning` (`clay_id`);--> statement-breakpoint
CREATE TABLE `sheet` (
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
	FOREIGN KEY (`blend_revision_id`) REFERENCES `blend_revision`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `sheet_entry` ON `sheet` (`entry_id`);--> statement-breakpoint
CREATE INDEX `sheet_clay` ON `sheet` (`clay_id`);--> statement-breakpoint
ALTER TABLE `bench_setup` ADD `room_c` real;--> statement-breakpoint
ALTER TABLE `bench_setup` ADD `guides` text;--> statement-breakpoint
ALTER TABLE `reading` ADD `taken_on` text;