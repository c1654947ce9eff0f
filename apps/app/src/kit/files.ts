/** Offers bytes or text as a file to keep. */
export function saveFile(name: string, type: string, content: string | Uint8Array): void {
  const url = URL.createObjectURL(new Blob([content as BlobPart], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** Asks for a text file; null when none was chosen. */
export function pickTextFile(accept: string): Promise<string | null> {
  return new Promise((done) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    input.onchange = () => {
      const file = input.files?.[0];
      if (file) void file.text().then(done);
      else done(null);
    };
    input.oncancel = () => done(null);
    input.click();
  });
}

/** Hands a text on by the device's own way of sharing, else to the clipboard. Answers what was done. */
export async function shareText(title: string, text: string): Promise<'shared' | 'copied' | 'failed'> {
  try {
    if (navigator.share) {
      await navigator.share({ title, text });
      return 'shared';
    }
    await navigator.clipboard.writeText(text);
    return 'copied';
  } catch {
    return 'failed';
  }
}

/** A file that the device's own sharing takes; null: it takes none of this kind, or there is no sharing. */
export function fileToShare(name: string, type: string, content: string | Uint8Array): File | null {
  if (typeof navigator.canShare !== 'function') return null;
  // A type with its letters' code is not known to every device.
  const file = new File([content as BlobPart], name, { type: type.split(';')[0]! });
  return navigator.canShare({ files: [file] }) ? file : null;
}

/** Hands a file on by the device's own sharing. Answers what was done. */
export async function shareFile(file: File): Promise<'shared' | 'stopped' | 'failed'> {
  try {
    await navigator.share({ files: [file], title: file.name });
    return 'shared';
  } catch (error) {
    // Whoever closes the sheet wants nothing any more; a sheet that does not open is no way.
    return (error as Error).name === 'AbortError' ? 'stopped' : 'failed';
  }
}

/** Asks for a picture: from the camera on a phone, else from a file; null when none was chosen. */
export function pickPicture(camera: boolean): Promise<File | null> {
  return new Promise((done) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = 'image/*';
    if (camera) input.setAttribute('capture', 'environment');
    input.onchange = () => done(input.files?.[0] ?? null);
    input.oncancel = () => done(null);
    input.click();
  });
}

/** A file that was chosen; `bytes` null: it is larger than what is read. */
export interface PickedFile {
  name: string;
  size: number;
  bytes: Uint8Array | null;
}

/** Asks for a file. @param most bytes that are read; null: none was chosen */
export async function pickFile(accept: string, most: number): Promise<PickedFile | null> {
  const file = await new Promise<File | null>((done) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    input.onchange = () => done(input.files?.[0] ?? null);
    input.oncancel = () => done(null);
    input.click();
  });
  if (file === null) return null;
  const { name, size } = file;
  return { name, size, bytes: size > most ? null : new Uint8Array(await file.arrayBuffer()) };
}
