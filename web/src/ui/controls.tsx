import { Button as AriaButton, Input, Label, TextField as AriaTextField, type ButtonProps, type TextFieldProps } from 'react-aria-components';
import { Link } from 'react-router';
import { css, styled } from 'styled-components';

const shape = css`
  padding: 6px 14px;
  min-height: 34px;
  border-radius: 3px;
  white-space: nowrap;
`;

/** Buttons in three weights: `act` is the brass one and stands at most once on a view. */
const Base = styled(AriaButton)<{ $weight: 'act' | 'plain' | 'quiet' }>`
  border: 1px solid ${({ theme, $weight }) => ($weight === 'act' ? theme.brass : $weight === 'plain' ? theme.rule : 'transparent')};
  background: ${({ theme, $weight }) => ($weight === 'act' ? theme.brass : $weight === 'plain' ? theme.sheet : 'transparent')};
  color: ${({ theme, $weight }) => ($weight === 'act' ? theme.brassInk : theme.ink)};
  font-weight: ${({ $weight }) => ($weight === 'quiet' ? 400 : 600)};
  ${shape}
  cursor: pointer;
  &[data-hovered] {
    background: ${({ theme, $weight }) => ($weight === 'act' ? theme.brass : theme.wash)};
  }
  &[data-disabled] {
    opacity: 0.5;
    cursor: default;
  }
  &[data-focus-visible] {
    outline: 2.5px solid ${({ theme }) => theme.focus};
    outline-offset: 2px;
  }
`;

export function Button({ weight = 'plain', ...props }: ButtonProps & { weight?: 'act' | 'plain' | 'quiet' }) {
  return <Base $weight={weight} {...props} />;
}

/** Where the work goes on: a link in the weight of `act`. */
export const Onward = styled(Link)`
  display: inline-flex;
  align-items: center;
  gap: 6px;
  ${shape}
  background: ${({ theme }) => theme.brass};
  color: ${({ theme }) => theme.brassInk};
  font-weight: 600;
  text-decoration: none;
  &:focus-visible {
    outline: 2.5px solid ${({ theme }) => theme.focus};
    outline-offset: 2px;
  }
`;

/** A key cap: the shortcut, shown where it acts. */
export const Key = styled.kbd`
  font:
    600 12px/1 'Source Sans 3',
    sans-serif;
  border: 1px solid currentColor;
  border-radius: 3px;
  padding: 2px 5px 1px;
  margin-inline: 2px;
  display: inline-block;
  min-width: 1.5em;
  text-align: center;
`;

const Field = styled(AriaTextField)`
  display: grid;
  gap: 3px;
`;
const FieldLabel = styled(Label)`
  font-size: 13px;
  color: ${({ theme }) => theme.inkSoft};
`;
const FieldInput = styled(Input)`
  background: ${({ theme }) => theme.sheet};
  border: 1px solid ${({ theme }) => theme.rule};
  border-radius: 3px;
  padding: 6px 9px;
  min-height: 34px;
  &[data-focused] {
    outline: 2.5px solid ${({ theme }) => theme.focus};
    outline-offset: 0;
  }
`;

export function TextField({ label, hint, type, ...props }: TextFieldProps & { label: string; hint?: string; type?: string }) {
  return (
    <Field {...props}>
      <FieldLabel>{label}</FieldLabel>
      <FieldInput {...(hint ? { placeholder: hint } : {})} {...(type ? { type } : {})} />
    </Field>
  );
}

/** A message beside what it speaks of. */
export const Notice = styled.p<{ $tone?: 'danger' | 'note' }>`
  color: ${({ theme, $tone }) => ($tone === 'danger' ? theme.chalk : theme.inkSoft)};
  font-weight: ${({ $tone }) => ($tone === 'danger' ? 600 : 400)};
`;

export const VisuallyHidden = styled.span`
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
  white-space: nowrap;
`;
