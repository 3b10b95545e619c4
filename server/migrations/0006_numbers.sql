ALTER TABLE `numbering` ADD `prefix` varchar(12) DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `numbering` ADD `digits` tinyint DEFAULT 4 NOT NULL;