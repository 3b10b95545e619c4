CREATE TABLE `fold_revision` (
	`revision` int unsigned NOT NULL,
	CONSTRAINT `fold_revision_revision` PRIMARY KEY(`revision`)
);
