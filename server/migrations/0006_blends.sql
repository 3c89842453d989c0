CREATE TABLE `blend_colour` (
	`id` text PRIMARY KEY NOT NULL,
	`blend_revision_id` text NOT NULL,
	`position` integer NOT NULL,
	`clay_id` text,
	`revision_id` text,
	FOREIGN KEY (`blend_revision_id`) REFERENCES `blend_revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clay_id`) REFERENCES `clay`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`revision_id`) REFERENCES `revision`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `blend_colour_revision` ON `blend_colour` (`blend_revision_id`);--> statement-breakpoint
CREATE INDEX `blend_colour_mix` ON `blend_colour` (`revision_id`);--> statement-breakpoint
CREATE INDEX `blend_colour_clay` ON `blend_colour` (`clay_id`);--> statement-breakpoint
CREATE TABLE `blend_revision` (
	`id` text PRIMARY KEY NOT NULL,
	`blend_id` text NOT NULL,
	`number` integer NOT NULL,
	`created_at` text NOT NULL,
	`setting_id` text,
	`tape_setting_id` text,
	`shape` text NOT NULL,
	FOREIGN KEY (`blend_id`) REFERENCES `blend`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`setting_id`) REFERENCES `setting`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`tape_setting_id`) REFERENCES `setting`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `blend_revision_number` ON `blend_revision` (`blend_id`,`number`);--> statement-breakpoint
CREATE TABLE `blend` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`name` text NOT NULL,
	`note` text NOT NULL,
	`retired` integer NOT NULL
);
