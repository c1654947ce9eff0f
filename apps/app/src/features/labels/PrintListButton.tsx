import { layCheckSheet, uprightCard, type CheckSheet } from '@ours/core';
import { useToast } from '@/kit/feedback/Toasts';
import { useSaveFile } from '@/kit/feedback/useSaveFile';
import { Button } from '@/kit/press/Button';
import { useHome } from '@/shared/useHome';
import { fetchLabelFonts } from '@/kit/printFonts';
import { pagesPdf } from './labelsPdf';

/** Saves a list to tick by hand as a PDF. */
export function PrintListButton({ list, file }: { list: () => Omit<CheckSheet, 'size'>; file: string }) {
  const { unit } = useHome();
  const saveFile = useSaveFile();
  const toast = useToast();
  const save = async (): Promise<void> => {
    const size = unit === 'metric' ? 'A4' : 'Letter';
    try {
      const pages = layCheckSheet({ ...list(), size });
      saveFile(file, 'application/pdf', await pagesPdf(pages, uprightCard(size), await fetchLabelFonts()));
    } catch {
      toast({ text: 'The list could not be drawn. Try again with a signal.', problem: true });
    }
  };
  return <Button label="Print list" onPress={() => void save()} />;
}
