// Runs before any package is there, so it is plain JavaScript on Node's own modules.
import { spawn } from 'node:child_process';
import { existsSync, readFileSync, statSync, utimesSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');

/** Leaves with a sentence when this Node.js is older than package.json asks for. */
function checkNode() {
  const wanted = JSON.parse(readFileSync(path.join(root, 'package.json'), 'utf8')).engines.node;
  const least = /(\d+)\.(\d+)/.exec(wanted);
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < Number(least[1]) || (major === Number(least[1]) && minor < Number(least[2]))) {
    console.error(
      `Jolly Rail needs Node.js ${wanted}; this is ${process.versions.node}. Install a newer one and try again.`,
    );
    process.exit(1);
  }
}

/** npm writes this file whenever it installs, so its age tells whether the packages fit the lock file. */
const installed = path.join(root, 'node_modules', '.package-lock.json');
const lockFile = path.join(root, 'package-lock.json');

function packagesAreCurrent() {
  return existsSync(installed) && statSync(installed).mtimeMs >= statSync(lockFile).mtimeMs;
}

function installPackages() {
  console.error('· Installing packages (first start, or the lock file changed) …');
  const started = Date.now();
  const beat = setInterval(() => {
    console.error(`  still installing packages, ${Math.round((Date.now() - started) / 1000)} s`);
  }, 10_000);
  const npm = spawn('npm', ['ci', '--no-fund', '--no-audit', '--loglevel=error'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  return new Promise((resolve) => {
    npm.on('error', () => resolve(1));
    npm.on('exit', (code) => resolve(code ?? 1));
  }).then((code) => {
    clearInterval(beat);
    if (code !== 0) {
      console.error('The packages could not be installed. Check the network and run `npm ci` to see why.');
      process.exit(1);
    }
    const now = new Date();
    utimesSync(installed, now, now);
  });
}

/**
 * Checks Node.js, installs the packages when they are missing or stale, then runs a TypeScript file of this folder.
 * @param {string} script file name in scripts/
 */
export async function run(script) {
  checkNode();
  if (!packagesAreCurrent()) await installPackages();
  process.chdir(root);
  const { register } = await import('tsx/esm/api');
  register();
  await import(`./${script}`);
}
