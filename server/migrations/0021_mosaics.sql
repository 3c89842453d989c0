CREATE TABLE `mosaic` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`name` text NOT NULL,
	`note` text NOT NULL,
	`picture_id` text,
	`mosaic` text NOT NULL,
	FOREIGN KEY (`picture_id`) REFERENCES `picture`(`id`) ON UPDATE no action ON DELETE no action
);
