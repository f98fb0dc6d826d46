DROP INDEX `valves_by_place`;--> statement-breakpoint
DROP INDEX `valves_by_sheet`;--> statement-breakpoint
DROP INDEX `valves_by_family`;--> statement-breakpoint
DROP INDEX `valves_by_due`;--> statement-breakpoint
DROP INDEX `valves_by_symptom`;--> statement-breakpoint
CREATE INDEX `valves_in_order` ON `valves` (`tag`,`due_at`,`symptom`);--> statement-breakpoint
CREATE INDEX `valves_by_name` ON `valves` (`name`,`tag`,`due_at`,`symptom`);--> statement-breakpoint
CREATE INDEX `valves_by_place` ON `valves` (`place`,`tag`,`due_at`,`symptom`);--> statement-breakpoint
CREATE INDEX `valves_by_sheet` ON `valves` (`sheet`,`tag`,`due_at`,`symptom`);--> statement-breakpoint
CREATE INDEX `valves_by_family` ON `valves` (`family`,`tag`,`due_at`,`symptom`);--> statement-breakpoint
CREATE INDEX `valves_by_due` ON `valves` (`due_at`,`tag`,`symptom`);--> statement-breakpoint
CREATE INDEX `valves_by_symptom` ON `valves` (`symptom`,`due_at`,`tag`);