CREATE TABLE `entry_blend` (
	`id` text PRIMARY KEY NOT NULL,
	`entry_id` text NOT NULL,
	`blend_revision_id` text NOT NULL,
	`passes` integer NOT NULL,
	`contrast` real NOT NULL,
	FOREIGN KEY (`entry_id`) REFERENCES `entry`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`blend_revision_id`) REFERENCES `blend_revision`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `entry_blend_entry` ON `entry_blend` (`entry_id`);--> statement-breakpoint
CREATE INDEX `entry_blend_revision` ON `entry_blend` (`blend_revision_id`);