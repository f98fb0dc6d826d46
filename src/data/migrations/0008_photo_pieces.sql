CREATE TABLE `photo_pieces` (
	`job` text NOT NULL,
	`photo` text NOT NULL,
	`from` integer NOT NULL,
	`bytes` blob NOT NULL,
	PRIMARY KEY(`job`, `photo`, `from`),
	FOREIGN KEY (`job`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
