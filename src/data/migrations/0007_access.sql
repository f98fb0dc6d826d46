CREATE TABLE `access_log` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`at` integer NOT NULL,
	`by` text NOT NULL,
	`fact` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `accounts` (
	`person` text PRIMARY KEY NOT NULL,
	`role` text NOT NULL,
	`password` text,
	`code` text,
	`code_until` integer
);
--> statement-breakpoint
CREATE TABLE `passkeys` (
	`id` text PRIMARY KEY NOT NULL,
	`person` text NOT NULL,
	`name` text NOT NULL,
	`public_key` blob NOT NULL,
	`counter` integer NOT NULL,
	`transports` text NOT NULL,
	`made_at` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `passkeys_by_person` ON `passkeys` (`person`);--> statement-breakpoint
CREATE TABLE `pins` (
	`device` text NOT NULL,
	`person` text NOT NULL,
	`pin` text NOT NULL,
	`wrong` integer DEFAULT 0 NOT NULL,
	PRIMARY KEY(`device`, `person`)
);
--> statement-breakpoint
CREATE TABLE `sessions` (
	`id` text PRIMARY KEY NOT NULL,
	`person` text NOT NULL,
	`device` text NOT NULL,
	`browser` text NOT NULL,
	`how` text NOT NULL,
	`shared` integer NOT NULL,
	`opened_at` integer NOT NULL,
	`seen_at` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `sessions_by_person` ON `sessions` (`person`);--> statement-breakpoint
CREATE INDEX `sessions_by_device` ON `sessions` (`device`);--> statement-breakpoint
CREATE TABLE `switches` (
	`name` text PRIMARY KEY NOT NULL
);
