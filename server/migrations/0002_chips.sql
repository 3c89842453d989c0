CREATE TABLE `chip` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`revision_id` text NOT NULL,
	`made_on` text NOT NULL,
	`stage` text NOT NULL,
	`l` real NOT NULL,
	`a` real NOT NULL,
	`b` real NOT NULL,
	`way` text NOT NULL,
	FOREIGN KEY (`revision_id`) REFERENCES `revision`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `chip_revision` ON `chip` (`revision_id`);