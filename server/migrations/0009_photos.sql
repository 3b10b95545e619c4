CREATE TABLE `photo` (
	`id` uuid NOT NULL,
	`hash` char(64) NOT NULL,
	`width` int NOT NULL,
	`height` int NOT NULL,
	`author_id` uuid NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `photo_id` PRIMARY KEY(`id`)
);
