PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_pattern_use` (
	`id` text PRIMARY KEY NOT NULL,
	`pattern_revision_id` text NOT NULL,
	`clay_id` text,
	`revision_id` text,
	`blend_revision_id` text,
	`cane_revision_id` text,
	FOREIGN KEY (`pattern_revision_id`) REFERENCES `pattern_revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clay_id`) REFERENCES `clay`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`revision_id`) REFERENCES `revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`blend_revision_id`) REFERENCES `blend_revision`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`cane_revision_id`) REFERENCES `cane_revision`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "pattern_use_of_one" CHECK(("__new_pattern_use"."clay_id" is not null) + ("__new_pattern_use"."revision_id" is not null) + ("__new_pattern_use"."blend_revision_id" is not null) + ("__new_pattern_use"."cane_revision_id" is not null) = 1)
);
--> statement-breakpoint
INSERT INTO `__new_pattern_use`("id", "pattern_revision_id", "clay_id", "revision_id", "blend_revision_id") SELECT "id", "pattern_revision_id", "clay_id", "revision_id", "blend_revision_id" FROM `pattern_use`;--> statement-breakpoint
DROP TABLE `pattern_use`;--> statement-breakpoint
ALTER TABLE `__new_pattern_use` RENAME TO `pattern_use`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `pattern_use_revision` ON `pattern_use` (`pattern_revision_id`);--> statement-breakpoint
CREATE INDEX `pattern_use_clay` ON `pattern_use` (`clay_id`);--> statement-breakpoint
CREATE INDEX `pattern_use_mix` ON `pattern_use` (`revision_id`);--> statement-breakpoint
CREATE INDEX `pattern_use_blend` ON `pattern_use` (`blend_revision_id`);--> statement-breakpoint
CREATE INDEX `pattern_use_cane` ON `pattern_use` (`cane_revision_id`);--> statement-breakpoint
ALTER TABLE `clay` ADD `edge_hex` text;