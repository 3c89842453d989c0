/**
 * Packages that are loaded from their own folders, beside what is put together in dist/served: with code of the
 * system's own, asked for seldom, or there once for all.
 */
export const APART = ['@libsql/client', 'libsql', 'open', 'selfsigned', 'reflect-metadata'];
