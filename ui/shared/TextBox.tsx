'use client';
/**
 * A labeled input of this application: text, lines of text, or one of several by the browser's own list, which
 * works by keys, by a reader's voice and on a phone as everywhere else, and costs no menu of ours.
 */
import FormControl from '@mui/material/FormControl';
import FormHelperText from '@mui/material/FormHelperText';
import InputLabel from '@mui/material/InputLabel';
import NativeSelect from '@mui/material/NativeSelect';
import OutlinedInput, { type OutlinedInputProps } from '@mui/material/OutlinedInput';
import type { SxProps } from '@mui/material/styles';
import { useForkRef } from '@mui/material/utils';
import {
  Children,
  isValidElement,
  useId,
  type ChangeEvent,
  type InputHTMLAttributes,
  type ReactNode,
  type Ref,
} from 'react';
import { useEarly } from './useEarly';

type Control = HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement;

export interface TextBoxProps {
  readonly label: string;
  readonly value?: string | number;
  readonly defaultValue?: string | number;
  readonly onChange?: (event: ChangeEvent<Control>) => void;
  readonly onBlur?: () => void;
  readonly onKeyDown?: (event: React.KeyboardEvent) => void;
  readonly name?: string;
  readonly type?: string;
  readonly placeholder?: string;
  readonly autoComplete?: string;
  readonly autoFocus?: boolean;
  readonly required?: boolean;
  readonly disabled?: boolean;
  readonly fullWidth?: boolean;
  readonly error?: boolean;
  readonly helperText?: ReactNode;
  readonly multiline?: boolean;
  readonly minRows?: number;
  /** A list: children are its options. */
  readonly select?: boolean;
  readonly children?: ReactNode;
  readonly sx?: SxProps;
  readonly inputRef?: Ref<HTMLTextAreaElement | HTMLInputElement>;
  readonly inputComponent?: OutlinedInputProps['inputComponent'];
  readonly htmlInput?: InputHTMLAttributes<HTMLInputElement>;
}

const hasEmpty = (children: ReactNode): boolean =>
  Children.toArray(children).some(
    (child) => isValidElement<{ value?: unknown }>(child) && child.props.value === '',
  );

export function TextBox(props: TextBoxProps) {
  const {
    label,
    error,
    helperText,
    required,
    disabled,
    fullWidth,
    sx,
    select,
    children,
    htmlInput,
    inputRef,
    ...input
  } = props;
  const id = useId();
  const early = useEarly<HTMLInputElement & HTMLTextAreaElement & HTMLSelectElement>(input.value);
  const control = useForkRef(early, inputRef);
  const help = `${id}-help`;
  const described = helperText ? help : undefined;
  return (
    <FormControl
      size="small"
      variant="outlined"
      error={error ?? false}
      required={required ?? false}
      disabled={disabled ?? false}
      fullWidth={fullWidth ?? false}
      {...(sx ? { sx } : {})}
    >
      <InputLabel htmlFor={id} {...(select ? { shrink: true } : {})}>
        {label}
      </InputLabel>
      {select ? (
        <NativeSelect
          value={input.value ?? ''}
          onChange={(e) => input.onChange?.(e)}
          inputRef={early}
          input={<OutlinedInput notched label={label} />}
          inputProps={{ id, name: input.name, autoComplete: 'off', 'aria-describedby': described }}
        >
          {/* Nothing chosen yet is not the first of the list. */}
          {(input.value ?? '') === '' && !hasEmpty(children) && <option value="" hidden />}
          {children}
        </NativeSelect>
      ) : (
        <OutlinedInput
          {...(input as OutlinedInputProps)}
          id={id}
          label={label}
          inputRef={control}
          inputProps={{ ...htmlInput, 'aria-describedby': described }}
        />
      )}
      {helperText && <FormHelperText id={help}>{helperText}</FormHelperText>}
    </FormControl>
  );
}
