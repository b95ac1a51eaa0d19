/** Names and limits that the pages and the service worker share. */

/** Pages of one member in one program. */
export const pagesCache = (owner: string): string => `vobrik-pages.${owner}`;
export const OWNER_CACHE = 'vobrik-owner';
/** Pages kept a member: the week, the lists, and the games, books and sheets opened last. */
export const KEPT_PAGES = 20;

/** The week, games, book and sheets: what is worked on without a network. Read and Staff need the server. */
export const isKeptPage = (pathname: string): boolean =>
  pathname === '/' ||
  (/^\/(log|plan)(\/[^/]+)?$/.test(pathname) && pathname !== '/log/import') ||
  pathname === '/book' ||
  pathname === '/book/draw';
