CREATE TABLE `job_events` (
	`job` text NOT NULL,
	`seq` integer NOT NULL,
	`id` text NOT NULL,
	`event` text NOT NULL,
	`seal` text NOT NULL,
	PRIMARY KEY(`job`, `seq`),
	FOREIGN KEY (`job`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `job_event_once` ON `job_events` (`job`,`id`);--> statement-breakpoint
CREATE TABLE `jobs` (
	`id` text PRIMARY KEY NOT NULL,
	`valve` text NOT NULL,
	`opened_at` integer NOT NULL,
	`inputs` text NOT NULL,
	`closed_at` integer
);
--> statement-breakpoint
CREATE INDEX `jobs_by_valve` ON `jobs` (`valve`,`opened_at`);--> statement-breakpoint
CREATE TABLE `lines` (
	`id` text PRIMARY KEY NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `people` (
	`id` text PRIMARY KEY NOT NULL,
	`row` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `readings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`valve` text NOT NULL,
	`at` integer NOT NULL,
	`what` text NOT NULL,
	`dimension` text NOT NULL,
	`si` real NOT NULL,
	`typed` text NOT NULL,
	`by` text NOT NULL,
	`job` text
);
--> statement-breakpoint
CREATE INDEX `readings_by_valve` ON `readings` (`valve`,`what`,`at`);--> statement-breakpoint
CREATE UNIQUE INDEX `readings_once` ON `readings` (`valve`,`what`,`at`);--> statement-breakpoint
CREATE TABLE `sheets` (
	`id` text NOT NULL,
	`revision` integer NOT NULL,
	`document` text NOT NULL,
	PRIMARY KEY(`id`, `revision`)
);
--> statement-breakpoint
CREATE TABLE `stores` (
	`id` text PRIMARY KEY NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `valves` (
	`tag` text PRIMARY KEY NOT NULL,
	`row` text NOT NULL
);
