import { useId } from 'react';
import { TextInput } from 'react-native';
import { BODY_FONT } from '@/kit/theme/tamagui.config';
import { usePalette } from '@/kit/theme/usePalette';

/** A field within a cell of a table: as high as its row. Its problem is said elsewhere, by whoever shows the table. */
export function CellField({
  label,
  value,
  placeholder,
  bad,
  width,
  onChange,
  onSave,
  onLeave,
  onCancel,
}: {
  label: string;
  value: string;
  placeholder: string;
  /** What was typed cannot be read. */
  bad: boolean;
  width: number;
  onChange: (text: string) => void;
  onSave: () => void;
  /** It loses the focus. */
  onLeave: () => void;
  /** Escape: what is typed is not meant. */
  onCancel: () => void;
}) {
  const palette = usePalette();
  const id = useId();
  return (
    <TextInput
      id={id}
      aria-label={label}
      aria-invalid={bad}
      autoFocus
      // At once: selected a moment later, what was typed meanwhile would be written over.
      onFocus={({ target }) => (target as unknown as HTMLInputElement).select()}
      value={value}
      placeholder={placeholder}
      placeholderTextColor={palette.second}
      onChangeText={onChange}
      onSubmitEditing={onSave}
      blurOnSubmit={false}
      onBlur={onLeave}
      onKeyPress={({ nativeEvent }) => nativeEvent.key === 'Escape' && onCancel()}
      style={{
        fontFamily: BODY_FONT,
        fontSize: 16,
        width,
        height: 36,
        paddingHorizontal: 8,
        color: palette.ink,
        backgroundColor: palette.sheet,
        borderWidth: 2,
        borderColor: bad ? palette.late : palette.green,
        borderRadius: 6,
        outlineWidth: 0,
      }}
    />
  );
}
