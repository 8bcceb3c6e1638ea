#!/usr/bin/env node
// Lets Node read the TypeScript sources, then hands over.
import { register } from 'tsx/esm/api';

register();
const { main } = await import('../src/main.ts');
process.exitCode = await main(process.argv.slice(2), process.stdout, process.stderr);
