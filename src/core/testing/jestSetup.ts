// Away from UTC, so that a time shown in the wrong zone fails.
process.env.TZ = 'America/St_Johns';
