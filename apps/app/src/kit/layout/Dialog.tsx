import type { ReactNode } from 'react';
import { Modal, Pressable } from 'react-native';
import { ScrollView, Theme, useMedia, useThemeName, YStack } from 'tamagui';
import { DialogToastLine } from '@/kit/feedback/Toasts';
import { Title } from '@/kit/text/Text';

/** A sheet from below on a phone, a box in the middle on a wide screen. Escape and a tap beside it close it. */
export function Dialog({
  title,
  open,
  onClose,
  children,
}: {
  title: string;
  open: boolean;
  onClose: () => void;
  children: ReactNode;
}) {
  const { gtSm } = useMedia();
  const theme = useThemeName();
  if (!open) return null;
  return (
    <Modal transparent visible animationType="none" onRequestClose={onClose} aria-label={title}>
      {/* A modal hangs outside the page's tree of elements, so it says again which theme it is in. */}
      <Theme name={theme.startsWith('dark') ? 'dark' : 'light'} forceClassName>
        <YStack
          flex={1}
          justifyContent={gtSm ? 'center' : 'flex-end'}
          alignItems="center"
          style={{ backgroundColor: 'rgba(10,16,16,0.45)' }}
        >
          <Pressable
            onPress={onClose}
            // For a finger beside it; Escape and the buttons are for all others.
            aria-hidden
            tabIndex={-1}
            style={{ position: 'absolute', top: 0, left: 0, right: 0, bottom: 0 }}
          />
          <YStack
            backgroundColor="$backgroundStrong"
            borderColor="$color"
            borderTopWidth={2}
            borderTopLeftRadius={20}
            borderTopRightRadius={20}
            {...(gtSm ? { borderRadius: 14, borderWidth: 1, width: 520 } : { width: '100%' })}
            maxHeight="88%"
          >
            <ScrollView keyboardShouldPersistTaps="handled">
              <YStack padding={16} paddingBottom={24} gap={14}>
                <Title>{title}</Title>
                {children}
              </YStack>
            </ScrollView>
            <DialogToastLine />
          </YStack>
        </YStack>
      </Theme>
    </Modal>
  );
}
