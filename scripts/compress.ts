import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';

/** Writes .br and .gz beside the built scripts and styles, which the server then sends as they are. */
const folder = path.join('dist', 'web', 'assets');
for (const name of readdirSync(folder).filter((file) => /\.(js|css|svg)$/.test(file))) {
  const file = path.join(folder, name);
  const content = readFileSync(file);
  writeFileSync(
    `${file}.br`,
    brotliCompressSync(content, { params: { [constants.BROTLI_PARAM_QUALITY]: 10 } }),
  );
  writeFileSync(`${file}.gz`, gzipSync(content, { level: 9 }));
}
