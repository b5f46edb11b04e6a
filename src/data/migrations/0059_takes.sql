-- Whose H and D a machine takes when it changes to a sister; null: nobody said.
alter table magazine add column takes text check (takes in ('its own', 'as called'));
