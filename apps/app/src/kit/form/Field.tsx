import { forwardRef, useId, useState } from 'react';
import { TextInput, type TextInputProps } from 'react-native';
import { YStack } from 'tamagui';
import { BODY_FONT } from '@/kit/theme/tamagui.config';
import { usePalette } from '@/kit/theme/usePalette';
import { Small, Text } from '@/kit/text/Text';

export interface FieldProps extends Omit<TextInputProps, 'style'> {
  label: string;
  /** One sentence: what was read, what is accepted. */
  problem?: string | undefined;
  hint?: string | undefined;
  large?: boolean;
  hideLabel?: boolean;
  /** A long line goes on below instead of out of sight; Enter still ends it. */
  wraps?: boolean;
  width?: number;
}

/** A labelled text field; its problem is announced and tied to it. */
export const Field = forwardRef<TextInput, FieldProps>(function Field(
  { label, problem, hint, large = false, hideLabel = false, wraps = false, width, ...input },
  ref,
) {
  const palette = usePalette();
  const id = useId();
  const [focused, setFocused] = useState(false);
  const help = problem ?? hint;
  const least = large ? 56 : 48;
  const [grown, setGrown] = useState(least);
  const wrapping: Partial<TextInputProps> = wraps
    ? {
        multiline: true,
        numberOfLines: 1,
        onContentSizeChange: ({ nativeEvent }) => setGrown(Math.ceil(nativeEvent.contentSize.height)),
        onKeyPress: (event) => {
          if (event.nativeEvent.key !== 'Enter') return;
          event.preventDefault();
          input.onSubmitEditing?.(event as never);
        },
      }
    : {};
  return (
    <YStack gap={4} {...(width === undefined ? {} : { width })}>
      {hideLabel ? null : (
        <Small render={<label htmlFor={id} />} color="$second">
          {label}
        </Small>
      )}
      <TextInput
        ref={ref}
        {...input}
        {...wrapping}
        id={id}
        aria-label={label}
        aria-invalid={problem !== undefined}
        {...(help === undefined ? {} : ({ 'aria-describedby': `${id}-help` } as object))}
        placeholderTextColor={palette.second}
        onFocus={(event) => {
          setFocused(true);
          input.onFocus?.(event);
        }}
        onBlur={(event) => {
          setFocused(false);
          input.onBlur?.(event);
        }}
        style={{
          fontFamily: BODY_FONT,
          fontSize: large ? 19 : 16,
          minHeight: least,
          paddingHorizontal: 14,
          color: palette.ink,
          backgroundColor: palette.sheet,
          borderWidth: large || focused ? 2 : 1,
          borderColor:
            problem === undefined
              ? focused || large
                ? focused
                  ? palette.green
                  : palette.ink
                : palette.second
              : palette.late,
          borderRadius: large ? 12 : 8,
          outlineWidth: 0,
          ...(input.multiline ? { paddingVertical: 10 } : {}),
          // An empty field is one line high again, whatever stood in it before.
          ...(wraps ? { height: input.value ? Math.max(least, grown) : least, paddingVertical: 14 } : {}),
        }}
      />
      {help === undefined ? null : (
        <Text
          id={`${id}-help`}
          role={problem === undefined ? 'note' : 'alert'}
          fontSize={14}
          lineHeight={19}
          color={problem === undefined ? '$second' : '$late'}
        >
          {help}
        </Text>
      )}
    </YStack>
  );
});
