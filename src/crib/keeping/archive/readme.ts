/** What the archive says of itself to whoever opens it, in a year or in ten. */
export const README = `# All that a Stable holds

- \`tables/*.csv\`: one CSV (RFC 4180, UTF-8) of each table, its columns in the first line. Nothing is \`\\N\`, an empty cell is an
  empty text. A text that a spreadsheet would run as a formula, or that begins with a backslash, has one \`'\` before it.
- \`pictures/\`, \`programs/\`: pictures and NC programs as they were kept; the tables name them by their paths.
- \`datapackage.json\`: what each table and column is, which refer to which, and the digest of each table (Data Package and Table
  Schema, datapackage.org). What is under \`stable\` there is needed to bring it in again.

The ledger is the table \`entry\`: every row of the others names the entry that wrote it. Tables that end in \`_now\`, and a few
others, are kept ready from the ledger and hold nothing of their own. What people sign in with is not in here.

Into an empty folder: \`npm run bring-in -- ARCHIVE.zip\`. It is compared row by row with what went out.
`;
