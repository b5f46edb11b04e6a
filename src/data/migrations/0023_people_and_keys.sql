-- Who may do what, who signed for whom, and what people and programs sign in with.

create table person_role (
  entry_id int primary key references entry (id),
  person text not null references person (initials),
  role text not null check (role in ('owner', 'crib', 'planner', 'operator', 'viewer'))
);
create index person_role_by_person on person_role (person, entry_id);

-- Where what an entry says of who is not all: who entered it for another, by which key, and who confirmed it.
create table entry_signed (
  entry_id int primary key references entry (id),
  signed_by text references person (initials),
  key_name text,
  second text references person (initials)
);
create table second_person (
  entry_id int primary key references entry (id),
  write_off boolean not null,
  deviation boolean not null,
  settlement boolean not null
);
call make_ledger('person_role', 'entry_signed', 'second_person');

-- The latest word of each person counts.
create view role_now as
  select distinct on (r.person) r.person, r.role from person_role r
  order by r.person, r.entry_id desc;

-- What follows is no ledger: a secret that is changed or taken away is gone. Kept are digests only.
create table secret (
  person text primary key references person (initials),
  password_hash text,
  pin_hash text,
  badge_hash text unique,
  changed_at timestamptz not null
);
create table one_time_code (
  code_hash text primary key,
  -- null: it makes the first owner
  person text references person (initials),
  ends_at timestamptz not null
);
create table session (
  id int generated always as identity primary key,
  token_hash text not null unique,
  person text not null references person (initials),
  device text not null,
  begun_at timestamptz not null,
  used_at timestamptz not null,
  -- a screen of many hands: who set it up signs nothing by it; who is at hand does, for a while
  shared boolean not null default false,
  at_hand text references person (initials),
  hand_until timestamptz
);
create index session_by_person on session (person);
create table api_key (
  id int generated always as identity primary key,
  name text not null unique,
  key_hash text not null unique,
  -- whose it is: it dies when they leave
  person text not null references person (initials),
  role text not null check (role in ('owner', 'crib', 'planner', 'operator', 'viewer')),
  -- null: all that the role may
  verbs text[],
  made_at timestamptz not null,
  used_at timestamptz,
  ended_at timestamptz
);
