/** Folders of core and features of the app as a graph, and the circles in it. */
const TEST = /\.test(-support)?\.tsx?$/;

/**
 * The folder a file counts to, or null. What a kind of row is (`*.entity.ts`) lies in its feature's folder and knows only
 * the language of definitions; what holds for it beyond that (`*.rules.ts`) is a part of the household's rules.
 */
export function folderOf(path) {
  const core = /^packages\/core\/src\/([^/]+)\//.exec(path);
  if (core) {
    if (path.endsWith('.entity.ts')) return 'core/definition';
    return path.endsWith('.rules.ts') ? 'core/household' : `core/${core[1]}`;
  }
  const app = /^apps\/app\/src\/(?:features\/([^/]+)|([^/]+))\//.exec(path);
  return app && `app/${app[1] ?? app[2]}`;
}

/** @param modules as the cruiser reports them @returns folder → the folders it imports from, itself left out */
export function edgesBetweenFolders(modules) {
  const edges = new Map();
  for (const { source, dependencies } of modules) {
    const from = folderOf(source);
    if (!from || TEST.test(source)) continue;
    for (const { resolved } of dependencies) {
      const to = folderOf(resolved);
      if (!to || to === from || TEST.test(resolved)) continue;
      if (!edges.has(from)) edges.set(from, new Set());
      edges.get(from).add(to);
    }
  }
  return edges;
}

/** Every edge that closes a circle, with the way back. */
export function circlesIn(edges) {
  const wayBack = (from, to) => {
    const cameFrom = new Map([[from, null]]);
    const open = [from];
    for (const at of open)
      for (const next of edges.get(at) ?? []) {
        if (cameFrom.has(next)) continue;
        cameFrom.set(next, at);
        open.push(next);
      }
    if (!cameFrom.has(to)) return null;
    const way = [];
    for (let at = to; at !== null; at = cameFrom.get(at)) way.unshift(at);
    return way;
  };
  const circles = [];
  for (const [from, tos] of edges)
    for (const to of tos) {
      const back = wayBack(to, from);
      if (back) circles.push([from, ...back]);
    }
  return circles;
}
