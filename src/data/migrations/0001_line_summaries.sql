ALTER TABLE `lines` ADD `name` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `lines` ADD `medium` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `lines` ADD `nodes` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `lines` ADD `links` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `lines` ADD `valves` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
UPDATE `lines` SET
  `name` = json_extract(`document`, '$.name'),
  `medium` = json_extract(`document`, '$.medium'),
  `nodes` = json_array_length(`document`, '$.nodes'),
  `links` = json_array_length(`document`, '$.links'),
  `valves` = (SELECT count(*) FROM json_each(`document`, '$.links') WHERE json_extract(value, '$.kind') = 'valve');
