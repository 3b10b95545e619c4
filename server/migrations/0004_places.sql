ALTER TABLE `bay` ADD `width_mm` int;--> statement-breakpoint
ALTER TABLE `bay` ADD `version` int DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `enclosure` ADD `retired` boolean DEFAULT false NOT NULL;