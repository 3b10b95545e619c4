ALTER TABLE `touch` ADD `nth` tinyint unsigned DEFAULT 0 NOT NULL, ADD `unit` varchar(10);--> statement-breakpoint
ALTER TABLE `touch` DROP PRIMARY KEY, ADD PRIMARY KEY(`subject`,`day`,`uid`,`how`,`nth`);--> statement-breakpoint
CREATE INDEX `touch_other` ON `touch` (`other`,`day`);
