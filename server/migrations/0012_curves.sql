CREATE TABLE `resident_curve` (
	`resident_id` uuid NOT NULL,
	`due` enum('anew','weighed'),
	`fitted_at` datetime(3),
	`off` longtext,
	CONSTRAINT `resident_curve_resident_id` PRIMARY KEY(`resident_id`)
);
--> statement-breakpoint
CREATE INDEX `resident_curve_due` ON `resident_curve` (`due`);