import { existsSync } from 'node:fs';
import path from 'node:path';
import { command } from './command.ts';
import { StartError, step } from './report.ts';

interface DebianProgram {
  readonly what: string;
  readonly packages: readonly string[];
  /** Where Debian puts the programs of the package that we call. */
  readonly programs: readonly string[];
}

export const MARIADB: DebianProgram = {
  what: 'the MariaDB server',
  // The set-up script of the server asks for a helper that Debian ships with the client's core.
  packages: ['mariadb-server-core', 'mariadb-client-core'],
  programs: ['/usr/sbin/mariadbd', '/usr/bin/mariadb-install-db', '/usr/bin/my_print_defaults'],
};

export const GALERA: DebianProgram = {
  what: 'Galera, with which several MariaDB servers are one',
  packages: ['galera-4'],
  programs: ['/usr/lib/galera/libgalera_smm.so'],
};

export const CHROMIUM: DebianProgram = {
  what: 'Chromium without windows',
  packages: ['chromium-headless-shell'],
  programs: ['/usr/bin/chromium-headless-shell'],
};

/** Installs a program from Debian's packages when it is missing (as root), or stops with the command to run. */
export async function ensureInstalled(program: DebianProgram): Promise<void> {
  if (program.programs.every((file) => existsSync(file))) return;
  const install = `apt-get install -y --no-install-recommends ${program.packages.join(' ')}`;
  if (process.getuid?.() !== 0 || !existsSync('/usr/bin/apt-get')) {
    throw new StartError(
      `${program.what} is missing. Install it once with\n\n    sudo ${install}\n\nand start again.`,
    );
  }
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  await step(`Installing ${program.what} from Debian's packages`, async () => {
    await command('apt-get', ['update', '-q'], { env });
    await command('apt-get', ['install', '-y', '-q', '--no-install-recommends', ...program.packages], {
      env,
      failure: `${program.what} could not be installed. Try \`${install}\` by hand.`,
    });
  });
  const missing = program.programs.filter((file) => !existsSync(file));
  if (missing.length > 0) {
    throw new StartError(
      `${program.packages.join(' and ')} installed, but ${missing.map((file) => path.basename(file)).join(' and ')} not where Debian puts it.`,
    );
  }
}
