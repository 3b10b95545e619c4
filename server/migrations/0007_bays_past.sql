CREATE TABLE `bay_past` (
	`bay_id` uuid NOT NULL,
	`version` int NOT NULL,
	`until` datetime(3) NOT NULL,
	`author_id` uuid,
	`layout` json NOT NULL,
	CONSTRAINT `bay_past_bay_id_version_pk` PRIMARY KEY(`bay_id`,`version`)
);
