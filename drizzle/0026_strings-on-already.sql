ALTER TABLE `fitted_string` ADD `since` text DEFAULT 'dated' NOT NULL;--> statement-breakpoint
-- An instrument that was entered without its strings' ages was strung all the same: each of its pieces on which nothing was ever
-- put gets a string of which nobody knows since when it is on. Left out are pieces that broke since and wait for a string, and
-- instruments that are strung from bare pins. Until the next statement the piece's first position stands in aged_ms.
INSERT INTO `fitted_string` (`instrument_id`, `material`, `gauge_mm`, `core_mm`, `bedding_material`, `bedding_mm`, `wrap_material`, `wrap_mm`, `fitted_at`, `since`, `aged_ms`)
SELECT p.`instrument_id`, p.`material`, p.`gauge_mm`, p.`core_mm`, p.`bedding_material`, p.`bedding_mm`, p.`wrap_material`, p.`wrap_mm`,
	coalesce((SELECT max(`at`) FROM `action`), CAST(strftime('%s', 'now') AS integer) * 1000), 'unknown', p.`id`
FROM `string_position` p
WHERE p.`number` = (SELECT min(q.`number`) FROM `string_position` q WHERE q.`instrument_id` = p.`instrument_id` AND q.`piece` = p.`piece`)
	AND NOT EXISTS (
		SELECT 1 FROM `string_position` q
		WHERE q.`instrument_id` = p.`instrument_id` AND q.`piece` = p.`piece`
			AND (q.`id` IN (SELECT `position_id` FROM `fitted_position`) OR q.`id` IN (SELECT `position_id` FROM `string_break`))
	)
	AND p.`instrument_id` NOT IN (SELECT `instrument_id` FROM `restring` WHERE `from_bare` = 1)
ORDER BY p.`instrument_id`, p.`number`;--> statement-breakpoint
INSERT INTO `fitted_position` (`fitted_id`, `position_id`)
SELECT s.`id`, q.`id`
FROM `fitted_string` s
JOIN `string_position` p ON p.`id` = s.`aged_ms`
JOIN `string_position` q ON q.`instrument_id` = p.`instrument_id` AND q.`piece` = p.`piece`
WHERE s.`since` = 'unknown'
ORDER BY s.`id`, q.`number`;--> statement-breakpoint
UPDATE `fitted_string` SET `aged_ms` = 0 WHERE `since` = 'unknown';
