import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import type { ServerResponse } from 'node:http';
import { join } from 'node:path';

/** The built web application, as it is served. */

/** The scripts that stand in the page itself, as its policy names them. */
export function ownScripts(web: string): string[] {
  const scripts = readFileSync(join(web, 'index.html'), 'utf8').matchAll(/<script>([^]*?)<\/script>/g);
  return [...scripts].map(
    ([, text = '']) => `'sha256-${createHash('sha256').update(text).digest('base64')}'`,
  );
}

/** Bundled files carry their hash in the name and never change. */
export function cacheFor(response: ServerResponse, path: string): void {
  if (/[.-][0-9a-f]{16,}\.[a-z0-9]+(\.br|\.gz)?$/.test(path))
    response.setHeader('Cache-Control', 'public, max-age=31536000, immutable');
}
