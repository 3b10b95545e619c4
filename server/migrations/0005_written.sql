ALTER TABLE `entry` ADD `written_at` datetime(3);--> statement-breakpoint
ALTER TABLE `entry` MODIFY COLUMN `seal` int unsigned NOT NULL DEFAULT crc32(concat_ws('|', subject, occurred_at, uid, stream, seq, family, kind, day, recorded_at, author_id, act, payload, written_at));
