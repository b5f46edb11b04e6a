-- How a machine takes a number without a decimal point: X10 is ten millimetres on one, ten least increments on another.
-- null: not known, so that a program with such numbers is asked about.
alter table machine_figures add column without_point text check (without_point in ('as written', 'least increment'));
