CREATE TABLE `learning` (
	`id` text PRIMARY KEY NOT NULL,
	`key` text NOT NULL,
	`use` integer NOT NULL,
	`learned` text NOT NULL
);
