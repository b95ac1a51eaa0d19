/**
 * The one-way layers: app → ui, store, workers → core; inside core field → snap → rules; field → look
 * → book → line, table → read, plan on top. An import that climbs is an error.
 */
import path from 'node:path';

/** Room → the rooms it may import from. Tests may also use the demo league. */
const HOUSE = {
  core: ['core'],
  ui: ['ui', 'client', 'core'],
  client: ['client', 'core'],
  store: ['store', 'core'],
  render: ['render', 'core'],
  workers: ['workers', 'core'],
  demo: ['demo', 'core', 'store'],
  app: ['app', 'ui', 'client', 'render', 'store', 'workers', 'core', 'demo'],
  cli: ['cli', 'core', 'store', 'render', 'demo', 'bench'],
  bench: ['bench', 'core', 'store', 'demo', 'cli'],
  e2e: ['e2e', 'bench', 'cli', 'client', 'store', 'demo', 'core'],
};
const CORE = {
  field: [],
  snap: ['field'],
  staff: [],
  sync: ['field', 'snap'],
  look: ['field'],
  book: ['field', 'snap', 'look'],
  rules: ['field', 'snap'],
  line: ['field', 'snap', 'look', 'book', 'rules'],
  log: ['field', 'snap', 'look', 'book', 'rules', 'line'],
  table: ['field', 'snap'],
  foreign: ['field', 'snap', 'book', 'rules', 'table'],
  read: ['field', 'snap', 'look', 'book', 'rules', 'table'],
  plan: ['field', 'snap', 'rules', 'look', 'book', 'line', 'table', 'read', 'roster'],
  stats: ['field', 'snap', 'rules'],
  roster: ['field', 'snap', 'rules'],
  agreement: ['field', 'snap', 'read'],
  drill: ['field', 'snap', 'look', 'book', 'rules'],
  charting: ['field', 'snap', 'look', 'book', 'rules', 'read'],
  exchange: [
    'field',
    'snap',
    'rules',
    'look',
    'book',
    'line',
    'table',
    'read',
    'plan',
    'charting',
    'staff',
    'sync',
  ],
};

/** Null when the import may stand, else why not. Paths are relative to the checkout. */
export function climb(from, to) {
  const [room, inner] = from.split('/');
  const [target, targetInner] = to.split('/');
  if (!(room in HOUSE) || !(target in HOUSE)) return null;
  const isTest = /\.(test|spec|fixture)\.tsx?$/.test(from) || from.endsWith('testing.ts');
  if (
    isTest &&
    (target === 'demo' || target === 'core' || (['store', 'app'].includes(room) && target === 'cli'))
  )
    return null;
  if (!HOUSE[room].includes(target))
    return `${room}/ may not import from ${target}/; the layers lead from app down to core`;
  if (
    room === 'core' &&
    target === 'core' &&
    inner !== targetInner &&
    inner in CORE &&
    !CORE[inner].includes(targetInner)
  )
    return `core/${inner} may not import from core/${targetInner}`;
  return null;
}

export default {
  meta: { type: 'problem', schema: [], messages: { climbs: '{{why}}' } },
  create(context) {
    const root = context.cwd;
    const from = path.relative(root, context.filename).split(path.sep).join('/');
    const check = (node, source) => {
      if (typeof source !== 'string' || !(source.startsWith('.') || source.startsWith('@/'))) return;
      const to = source.startsWith('@/')
        ? source.slice(2)
        : path
            .relative(root, path.resolve(path.dirname(context.filename), source))
            .split(path.sep)
            .join('/');
      const why = climb(from, to);
      if (why) context.report({ node, messageId: 'climbs', data: { why } });
    };
    return {
      ImportDeclaration: (n) => check(n, n.source.value),
      ExportNamedDeclaration: (n) => n.source && check(n, n.source.value),
      ExportAllDeclaration: (n) => check(n, n.source.value),
      ImportExpression: (n) => check(n, n.source.value),
    };
  },
};
