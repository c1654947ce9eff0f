// Metro's chunks look this up before anything else; a worker has no document to take it from.
const scope = globalThis as typeof globalThis & { __ExpoImportMetaRegistry?: { url: string } };
scope.__ExpoImportMetaRegistry ??= { url: globalThis.location?.href ?? '' };

export {};
