import { spawn } from 'node:child_process';
import { StartError } from './report.ts';

interface CommandOptions {
  readonly env?: NodeJS.ProcessEnv;
  /** Shown instead of the command's own output when it fails. */
  readonly failure?: string;
  readonly show?: boolean;
}

/** Runs a command to its end; returns what it printed. Throws StartError with the end of its output when it fails. */
export async function command(
  name: string,
  args: readonly string[],
  options: CommandOptions = {},
): Promise<string> {
  const child = spawn(name, args, {
    env: options.env ?? process.env,
    stdio: options.show === true ? ['ignore', 'inherit', 'inherit'] : ['ignore', 'pipe', 'pipe'],
  });
  let output = '';
  child.stdout?.on('data', (chunk: Buffer) => (output += chunk.toString()));
  child.stderr?.on('data', (chunk: Buffer) => (output += chunk.toString()));
  const code = await new Promise<number>((resolve) => {
    child.on('error', (error) => {
      output += error.message;
      resolve(127);
    });
    child.on('close', (status) => {
      resolve(status ?? 1);
    });
  });
  if (code !== 0) {
    const tail = output.trim().split('\n').slice(-12).join('\n');
    throw new StartError(
      `${options.failure ?? `\`${name} ${args.join(' ')}\` failed (exit code ${String(code)}).`}\n${tail}`,
    );
  }
  return output;
}
