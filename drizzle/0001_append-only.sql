CREATE TRIGGER `action_never_changes` BEFORE UPDATE ON `action` BEGIN SELECT RAISE(ABORT, 'history is appended to, never changed'); END;
--> statement-breakpoint
CREATE TRIGGER `action_never_goes` BEFORE DELETE ON `action` BEGIN SELECT RAISE(ABORT, 'history is appended to, never changed'); END;
--> statement-breakpoint
CREATE TRIGGER `change_never_changes` BEFORE UPDATE ON `change` BEGIN SELECT RAISE(ABORT, 'history is appended to, never changed'); END;
--> statement-breakpoint
CREATE TRIGGER `change_never_goes` BEFORE DELETE ON `change` BEGIN SELECT RAISE(ABORT, 'history is appended to, never changed'); END;
