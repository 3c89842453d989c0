CREATE TABLE `batch` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`name` text NOT NULL,
	`note` text NOT NULL,
	`due_on` text
);
--> statement-breakpoint
CREATE TABLE `bench_setup` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`machine_id` text,
	`disc_mm` real NOT NULL,
	`disc_setting_id` text,
	`currency` text NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machine`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`disc_setting_id`) REFERENCES `setting`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `block` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`clay_id` text NOT NULL,
	`net_grams` real NOT NULL,
	`left_grams` real NOT NULL,
	`made_on` text,
	`date_code` text NOT NULL,
	`price` real,
	FOREIGN KEY (`clay_id`) REFERENCES `clay`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `block_clay` ON `block` (`clay_id`);--> statement-breakpoint
CREATE TABLE `change` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`at` text NOT NULL,
	`summary` text NOT NULL,
	`state` text NOT NULL,
	`writes` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `change_id_unique` ON `change` (`id`);--> statement-breakpoint
CREATE INDEX `change_state` ON `change` (`state`,`seq`);--> statement-breakpoint
CREATE TABLE `clay` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`line_id` text NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`raw_hex` text NOT NULL,
	`baked_hex` text NOT NULL,
	`strength` real,
	`retired` integer NOT NULL,
	FOREIGN KEY (`line_id`) REFERENCES `line`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `clay_line` ON `clay` (`line_id`);--> statement-breakpoint
CREATE TABLE `counter` (
	`id` text PRIMARY KEY NOT NULL,
	`value` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `entry` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`batch_id` text,
	`made_on` text NOT NULL,
	`title` text NOT NULL,
	`note` text NOT NULL,
	`words` text NOT NULL,
	FOREIGN KEY (`batch_id`) REFERENCES `batch`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `entry_made` ON `entry` (`made_on`);--> statement-breakpoint
CREATE INDEX `entry_batch` ON `entry` (`batch_id`);--> statement-breakpoint
CREATE TABLE `entry_mix` (
	`id` text PRIMARY KEY NOT NULL,
	`entry_id` text NOT NULL,
	`revision_id` text NOT NULL,
	`grams` real NOT NULL,
	FOREIGN KEY (`entry_id`) REFERENCES `entry`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`revision_id`) REFERENCES `revision`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `entry_mix_entry` ON `entry_mix` (`entry_id`);--> statement-breakpoint
CREATE INDEX `entry_mix_revision` ON `entry_mix` (`revision_id`);--> statement-breakpoint
CREATE TABLE `entry_piece` (
	`id` text PRIMARY KEY NOT NULL,
	`entry_id` text NOT NULL,
	`name` text NOT NULL,
	`width_mm` real NOT NULL,
	`height_mm` real,
	`count` integer NOT NULL,
	FOREIGN KEY (`entry_id`) REFERENCES `entry`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `entry_piece_entry` ON `entry_piece` (`entry_id`);--> statement-breakpoint
CREATE TABLE `entry_taking` (
	`id` text PRIMARY KEY NOT NULL,
	`entry_id` text NOT NULL,
	`clay_id` text NOT NULL,
	`grams` real NOT NULL,
	FOREIGN KEY (`entry_id`) REFERENCES `entry`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clay_id`) REFERENCES `clay`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `entry_taking_entry` ON `entry_taking` (`entry_id`);--> statement-breakpoint
CREATE TABLE `ingredient` (
	`id` text PRIMARY KEY NOT NULL,
	`revision_id` text NOT NULL,
	`position` integer NOT NULL,
	`parts` text NOT NULL,
	`clay_id` text,
	`inner_revision_id` text,
	FOREIGN KEY (`revision_id`) REFERENCES `revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clay_id`) REFERENCES `clay`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`inner_revision_id`) REFERENCES `revision`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `ingredient_revision` ON `ingredient` (`revision_id`);--> statement-breakpoint
CREATE INDEX `ingredient_clay` ON `ingredient` (`clay_id`);--> statement-breakpoint
CREATE INDEX `ingredient_inner` ON `ingredient` (`inner_revision_id`);--> statement-breakpoint
CREATE TABLE `layer` (
	`id` text PRIMARY KEY NOT NULL,
	`piece_id` text NOT NULL,
	`position` integer NOT NULL,
	`clay_id` text,
	`revision_id` text,
	`setting_id` text NOT NULL,
	FOREIGN KEY (`piece_id`) REFERENCES `piece`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clay_id`) REFERENCES `clay`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`revision_id`) REFERENCES `revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`setting_id`) REFERENCES `setting`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `layer_piece` ON `layer` (`piece_id`);--> statement-breakpoint
CREATE INDEX `layer_revision` ON `layer` (`revision_id`);--> statement-breakpoint
CREATE TABLE `line` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`name` text NOT NULL,
	`firmness` text NOT NULL,
	`density` real NOT NULL,
	`density_measured` integer NOT NULL,
	`bake_c` real NOT NULL,
	`bake_minutes` real NOT NULL,
	`bake_per_mm` real NOT NULL,
	`max_c` real NOT NULL
);
--> statement-breakpoint
CREATE TABLE `machine` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`name` text NOT NULL,
	`note` text NOT NULL,
	`roller_width_mm` real NOT NULL
);
--> statement-breakpoint
CREATE TABLE `mix` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`name` text NOT NULL,
	`note` text NOT NULL,
	`retired` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `piece` (
	`id` text PRIMARY KEY NOT NULL,
	`batch_id` text NOT NULL,
	`position` integer NOT NULL,
	`name` text NOT NULL,
	`shape` text NOT NULL,
	`width_mm` real NOT NULL,
	`height_mm` real,
	`count` integer NOT NULL,
	`spare` integer NOT NULL,
	`bridge_mm` real NOT NULL,
	`sheet_width_mm` real NOT NULL,
	`sheet_length_mm` real NOT NULL,
	FOREIGN KEY (`batch_id`) REFERENCES `batch`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `piece_batch` ON `piece` (`batch_id`);--> statement-breakpoint
CREATE TABLE `reading` (
	`id` text PRIMARY KEY NOT NULL,
	`setting_id` text NOT NULL,
	`mm` real NOT NULL,
	`sigma_mm` real NOT NULL,
	`way` text NOT NULL,
	FOREIGN KEY (`setting_id`) REFERENCES `setting`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `reading_setting` ON `reading` (`setting_id`);--> statement-breakpoint
CREATE TABLE `revision` (
	`id` text PRIMARY KEY NOT NULL,
	`mix_id` text NOT NULL,
	`number` integer NOT NULL,
	`basis` text NOT NULL,
	`created_at` text NOT NULL,
	FOREIGN KEY (`mix_id`) REFERENCES `mix`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `revision_number` ON `revision` (`mix_id`,`number`);--> statement-breakpoint
CREATE TABLE `setting` (
	`id` text PRIMARY KEY NOT NULL,
	`machine_id` text NOT NULL,
	`position` integer NOT NULL,
	`label` text NOT NULL,
	FOREIGN KEY (`machine_id`) REFERENCES `machine`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `setting_machine` ON `setting` (`machine_id`);