import { useState } from 'react';
import { Button } from '@/kit/press/Button';
import { ScanIcon } from '@/kit/press/icons';
import { ScanDialog } from './ScanDialog';

/** Opens the reader of codes; what is read goes to the page that is open. @param keep one after the other */
export function ScanButton({ keep = false }: { keep?: boolean }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button kind="quiet" icon={ScanIcon} iconOnly label="Scan a code" onPress={() => setOpen(true)} />
      {open ? <ScanDialog keep={keep} onClose={() => setOpen(false)} /> : null}
    </>
  );
}
