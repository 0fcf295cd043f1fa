import { chownSync, existsSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { command } from './command.ts';

/** The account under which the database runs when the program is started as root. */
const ACCOUNT = 'jolly-rail';

export interface Account {
  readonly name: string;
  readonly uid: number;
  readonly gid: number;
}

function lookUp(): Account | undefined {
  const line = readFileSync('/etc/passwd', 'utf8')
    .split('\n')
    .find((entry) => entry.startsWith(`${ACCOUNT}:`));
  const [name, , uid, gid] = line?.split(':') ?? [];
  return name === undefined ? undefined : { name, uid: Number(uid), gid: Number(gid) };
}

/** The unprivileged account for the database: our own, made when missing; undefined when we are not root anyway. */
export async function databaseAccount(): Promise<Account | undefined> {
  if (process.getuid?.() !== 0) return undefined;
  const known = lookUp();
  if (known !== undefined) return known;
  await command('useradd', ['--system', '--no-create-home', '--shell', '/usr/sbin/nologin', ACCOUNT]);
  const made = lookUp();
  if (made === undefined) throw new Error(`the account ${ACCOUNT} could not be made`);
  return made;
}

export function give(file: string, account: Account | undefined): void {
  if (account !== undefined) chownSync(file, account.uid, account.gid);
}

/** Whether another account can get into a folder: every folder above it must let others pass. */
export function othersCanReach(folder: string): boolean {
  for (let at = path.dirname(folder); at !== path.dirname(at); at = path.dirname(at)) {
    if (existsSync(at) && (statSync(at).mode & 0o001) === 0) return false;
  }
  return true;
}
