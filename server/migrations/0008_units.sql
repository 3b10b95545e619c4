ALTER TABLE `staff` ADD `units` varchar(6);--> statement-breakpoint
ALTER TABLE `site` ADD `units` varchar(6) DEFAULT 'metric' NOT NULL;