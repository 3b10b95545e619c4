-- Reference data that people edit keeps its history; the entry log is its own.
ALTER TABLE `site` ADD SYSTEM VERSIONING;
--> statement-breakpoint
ALTER TABLE `room` ADD SYSTEM VERSIONING;
--> statement-breakpoint
ALTER TABLE `bay` ADD SYSTEM VERSIONING;
--> statement-breakpoint
ALTER TABLE `enclosure` ADD SYSTEM VERSIONING;
--> statement-breakpoint
ALTER TABLE `resident` ADD SYSTEM VERSIONING;
--> statement-breakpoint
ALTER TABLE `sheet` ADD SYSTEM VERSIONING;
--> statement-breakpoint
ALTER TABLE `plan_override` ADD SYSTEM VERSIONING;
--> statement-breakpoint
ALTER TABLE `staff` ADD SYSTEM VERSIONING;
--> statement-breakpoint
INSERT INTO `feed_counter` (`id`, `seq`) VALUES (1, 0);
