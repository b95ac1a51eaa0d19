/** Stands in for server-only in tests and scripts. */
export {};
