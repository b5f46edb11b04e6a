import { many, maybeOne, type Connection } from '../database';

export interface PersonRow {
  initials: string;
  name: string;
}
export const manyPeople = (c: Connection) =>
  many<PersonRow>(c, 'select initials, name from person order by initials');
export const maybePerson = (c: Connection, initials: string) =>
  maybeOne<PersonRow>(c, 'select initials, name from person where initials = $1', [initials]);
export async function insertPerson(c: Connection, initials: string, name: string): Promise<void> {
  await c.query('insert into person (initials, name) values ($1, $2)', [initials, name]);
}
