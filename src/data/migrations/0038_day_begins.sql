-- When the shop's day begins, minutes after midnight: its hours count from there. null: nobody said, so six in the morning.
alter table shop_week add column begins int check (begins between 0 and 1439);
