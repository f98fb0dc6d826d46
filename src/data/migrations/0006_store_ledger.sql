CREATE TABLE `movements` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`at` integer NOT NULL,
	`store` text NOT NULL,
	`item` text NOT NULL,
	`job` text,
	`order` text,
	`undoes` text,
	`row` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `movements_id_unique` ON `movements` (`id`);--> statement-breakpoint
CREATE UNIQUE INDEX `movements_undoes_unique` ON `movements` (`undoes`);--> statement-breakpoint
CREATE INDEX `movements_by_item` ON `movements` (`store`,`item`,`at`);--> statement-breakpoint
CREATE INDEX `movements_by_time` ON `movements` (`at`);--> statement-breakpoint
CREATE INDEX `movements_by_job` ON `movements` (`job`);--> statement-breakpoint
CREATE INDEX `movements_by_order` ON `movements` (`order`);--> statement-breakpoint
ALTER TABLE `job_summaries` ADD `takes` text DEFAULT '[]' NOT NULL;