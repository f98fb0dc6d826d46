CREATE TABLE `anchors` (
	`seq` integer PRIMARY KEY NOT NULL,
	`at` text NOT NULL,
	`heads` text NOT NULL,
	`previous` text NOT NULL,
	`hash` text NOT NULL,
	`signature` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `documents` (
	`hash` text PRIMARY KEY NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `findables` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`kind` text NOT NULL,
	`owner` text NOT NULL,
	`name` text NOT NULL,
	`says` text NOT NULL,
	`href` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `findables_by_owner` ON `findables` (`kind`,`owner`);--> statement-breakpoint
CREATE TABLE `heads` (
	`subject` text NOT NULL,
	`id` text NOT NULL,
	`entries` integer NOT NULL,
	`head` text NOT NULL,
	`anchor` integer NOT NULL,
	PRIMARY KEY(`subject`, `id`)
);
--> statement-breakpoint
CREATE TABLE `import_changes` (
	`import` text NOT NULL,
	`seq` integer NOT NULL,
	`kind` text NOT NULL,
	`id` text NOT NULL,
	`before` text,
	`after` text NOT NULL,
	PRIMARY KEY(`import`, `seq`),
	FOREIGN KEY (`import`) REFERENCES `imports`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `imports` (
	`id` text PRIMARY KEY NOT NULL,
	`at` integer NOT NULL,
	`by` text NOT NULL,
	`files` text NOT NULL,
	`undone_at` integer
);
--> statement-breakpoint
CREATE TABLE `job_summaries` (
	`job` text PRIMARY KEY NOT NULL,
	`valve` text NOT NULL,
	`place` text NOT NULL,
	`sheet` text NOT NULL,
	`sheet_title` text NOT NULL,
	`says` text NOT NULL,
	`opened_at` integer NOT NULL,
	`opened_by` text NOT NULL,
	`closed_at` integer,
	`status` text NOT NULL,
	`origin` text NOT NULL,
	`because` text,
	`phase` text NOT NULL,
	`step` text NOT NULL,
	`afterwards` text NOT NULL,
	`done` integer NOT NULL,
	`steps` integer NOT NULL,
	`minutes_left` real NOT NULL,
	`entries` integer NOT NULL,
	`bells` text NOT NULL,
	`held` text NOT NULL,
	`lost` text NOT NULL,
	`made` integer NOT NULL,
	FOREIGN KEY (`job`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `summaries_by_status` ON `job_summaries` (`status`,`opened_at`);--> statement-breakpoint
CREATE INDEX `summaries_by_opening` ON `job_summaries` (`opened_at`);--> statement-breakpoint
CREATE INDEX `summaries_by_valve` ON `job_summaries` (`valve`,`opened_at`);--> statement-breakpoint
CREATE INDEX `summaries_by_place` ON `job_summaries` (`place`);--> statement-breakpoint
CREATE TABLE `line_revisions` (
	`id` text NOT NULL,
	`revision` integer NOT NULL,
	`hash` text NOT NULL,
	PRIMARY KEY(`id`, `revision`)
);
--> statement-breakpoint
ALTER TABLE `jobs` ADD `origin` text DEFAULT 'here' NOT NULL;--> statement-breakpoint
ALTER TABLE `jobs` ADD `doubt` text;--> statement-breakpoint
ALTER TABLE `lines` ADD `revision` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `lines` ADD `hash` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `valves` ADD `name` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `valves` ADD `place` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `valves` ADD `sheet` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `valves` ADD `family` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `valves` ADD `line` text;--> statement-breakpoint
ALTER TABLE `valves` ADD `symptom` text;--> statement-breakpoint
ALTER TABLE `valves` ADD `due_at` integer DEFAULT 8640000000000000 NOT NULL;--> statement-breakpoint
ALTER TABLE `valves` ADD `due_what` text;--> statement-breakpoint
ALTER TABLE `valves` ADD `due_why` text;--> statement-breakpoint
CREATE INDEX `valves_by_tag` ON `valves` (tag collate nocase);--> statement-breakpoint
CREATE INDEX `valves_by_place` ON `valves` (`place`,`tag`);--> statement-breakpoint
CREATE INDEX `valves_by_sheet` ON `valves` (`sheet`,`tag`);--> statement-breakpoint
CREATE INDEX `valves_by_family` ON `valves` (`family`,`tag`);--> statement-breakpoint
CREATE INDEX `valves_by_due` ON `valves` (`due_at`,`tag`);--> statement-breakpoint
CREATE INDEX `valves_by_symptom` ON `valves` (`symptom`);--> statement-breakpoint
CREATE INDEX `valves_by_line` ON `valves` (`line`);--> statement-breakpoint
UPDATE `valves` SET
  `name` = json_extract(`row`, '$.name'),
  `place` = json_extract(`row`, '$.place'),
  `sheet` = json_extract(`row`, '$.sheet'),
  `line` = json_extract(`row`, '$.line'),
  `symptom` = json_extract(`row`, '$.symptom');
--> statement-breakpoint
CREATE VIRTUAL TABLE `find_words` USING fts5(head, tail, content='', contentless_delete=1, tokenize='unicode61 remove_diacritics 2', prefix='1 2 3');
--> statement-breakpoint
CREATE VIRTUAL TABLE `find_terms` USING fts5vocab(find_words, col);
