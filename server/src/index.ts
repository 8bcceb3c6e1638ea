export type { AppOptions } from './http/api';
export { createApp } from './http/app';
export { connect, migrate, APPEND_ONLY, type Db } from './db';
export { keepGuide, ping } from './notebook';
export { startServer, type RunningServer, type StartOptions } from './start';
export { loadDemo, DEMO_PERSON } from './demo';
export { digest, differences, type Digest } from './backup';
