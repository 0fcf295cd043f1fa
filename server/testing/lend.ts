let lent: string | undefined;

/** Gives the tests' tools a database: that of the test runner, or of a command of its own. @param url of its "jolly" */
export function lendDatabase(url: string): void {
  lent = url;
}

export function lentDatabase(): string {
  if (lent === undefined) throw new Error('lentDatabase: nobody has lent one');
  return lent;
}
