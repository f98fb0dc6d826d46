CREATE TABLE `blobs` (
	`sha256` text PRIMARY KEY NOT NULL,
	`bytes` blob NOT NULL
);
--> statement-breakpoint
CREATE TABLE `edit_changes` (
	`edit` text NOT NULL,
	`seq` integer NOT NULL,
	`kind` text NOT NULL,
	`id` text NOT NULL,
	`before` text,
	`after` text,
	PRIMARY KEY(`edit`, `seq`),
	FOREIGN KEY (`edit`) REFERENCES `edits`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `edit_changes_by_thing` ON `edit_changes` (`kind`,`id`);--> statement-breakpoint
CREATE TABLE `edits` (
	`id` text PRIMARY KEY NOT NULL,
	`at` integer NOT NULL,
	`by` text NOT NULL,
	`what` text NOT NULL,
	`undone_at` integer,
	`undone_by` text
);
--> statement-breakpoint
CREATE INDEX `edits_by_time` ON `edits` (`at`);--> statement-breakpoint
CREATE TABLE `retired_valves` (
	`tag` text PRIMARY KEY NOT NULL,
	`row` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `things` (
	`kind` text NOT NULL,
	`id` text NOT NULL,
	`row` text NOT NULL,
	PRIMARY KEY(`kind`, `id`)
);
--> statement-breakpoint
INSERT INTO `edits` (`id`, `at`, `by`, `what`, `undone_at`)
	SELECT `id`, `at`, `by`, json_object('kind', 'import', 'files', json(`files`)), `undone_at` FROM `imports`;--> statement-breakpoint
INSERT INTO `edit_changes` (`edit`, `seq`, `kind`, `id`, `before`, `after`)
	SELECT `import`, `seq`, `kind`, `id`, `before`, `after` FROM `import_changes`;--> statement-breakpoint
DROP TABLE `import_changes`;--> statement-breakpoint
DROP TABLE `imports`;