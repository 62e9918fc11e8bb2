'use client';

import {
  Button as AriaButton,
  Input,
  Label,
  ListBox,
  ListBoxItem,
  Popover,
  Select as AriaSelect,
  SelectValue,
  Text,
  TextArea,
  TextField,
  ToggleButton as AriaToggle,
} from 'react-aria-components';
import styled, { css } from 'styled-components';
import { unseen } from './theme';

const face = css`
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: 0.35rem;
  min-height: 1.75rem;
  padding: 0.15rem 0.6rem;
  border: 1px solid var(--rule);
  border-radius: 3px;
  background: transparent;
  color: var(--ink);
  cursor: default;
  white-space: nowrap;
  &[data-hovered] {
    background: var(--hover);
  }
  &[data-pressed],
  &[data-selected] {
    background: var(--pressed);
    color: var(--on-pressed);
    border-color: var(--pressed);
  }
  &[data-disabled] {
    color: var(--soft);
    opacity: 0.55;
  }
`;

export const focusFace = css`
  &[data-focus-visible] {
    outline: 2px solid var(--focus);
    outline-offset: 1px;
  }
`;

/** A small picture with its words below. */
export const pictureFace = css`
  ${focusFace}
  min-width: 0;
  border: 1px solid var(--rule);
  border-radius: 3px;
  background: var(--paper);
  color: var(--ink);
  cursor: default;
  font-size: 0.7rem;
  line-height: 1.15;
  text-align: center;
  white-space: normal;
  &[data-hovered] {
    border-color: var(--ink);
  }
  &[aria-pressed='true'],
  &[aria-expanded='true'] {
    border-color: var(--ink);
    box-shadow: inset 0 -3px 0 var(--ink);
  }
`;

export const Button = styled(AriaButton)`
  ${face}
`;

export const PlainButton = styled(AriaButton)`
  ${face}
  border-color: transparent;
  padding: 0.15rem 0.4rem;
`;

/** One that reads like a line of text, over several lines where it has to. */
export const TextButton = styled(PlainButton)`
  justify-content: flex-start;
  white-space: normal;
  text-align: left;
`;

export const ToggleButton = styled(AriaToggle)`
  ${face}
`;

const fieldFace = css`
  width: 100%;
  min-height: 1.7rem;
  padding: 0.1rem 0.4rem;
  border: 1px solid var(--rule);
  border-radius: 3px;
  background: var(--paper);
  color: var(--ink);
  text-align: left;
`;

export const FieldBox = styled(TextField)`
  display: grid;
  gap: 0.1rem;
`;

export const FieldLabel = styled(Label)`
  color: var(--soft);
  font-size: 0.75rem;
`;

export const FieldInput = styled(Input)`
  ${fieldFace}
  font-family: 'IBM Plex Sans Condensed', 'IBM Plex Sans', sans-serif;
  &[data-invalid] {
    border-color: var(--fault);
  }
`;

/** A field of several lines. */
export const FieldArea = styled(TextArea)`
  ${fieldFace}
  min-height: 7rem;
  padding: 0.2rem 0.4rem;
  font-family: 'IBM Plex Sans Condensed', 'IBM Plex Sans', sans-serif;
  resize: vertical;
`;

export const FieldNote = styled(Text)`
  font-size: 0.72rem;
  color: var(--soft);
  &[data-fault] {
    color: var(--fault);
  }
`;

const SelectFace = styled(AriaButton)`
  ${fieldFace}
  display: flex;
  justify-content: space-between;
  gap: 0.4rem;
  align-items: center;
`;

/** What lies over the page for as long as one chooses. */
export const overFace = css`
  background: var(--panel);
  border: 1px solid var(--rule-strong);
  border-radius: 3px;
  box-shadow: 0 4px 14px rgb(0 0 0 / 18%);
`;

const SelectList = styled(ListBox)`
  ${overFace}
  max-height: 18rem;
  overflow: auto;
  padding: 0.2rem;
  background: var(--paper);
`;

const SelectItem = styled(ListBoxItem)`
  padding: 0.25rem 0.5rem;
  border-radius: 2px;
  cursor: default;
  &[data-focused] {
    background: var(--hover);
  }
  &[data-selected] {
    font-weight: 600;
  }
`;

const SelectBox = styled(AriaSelect)`
  display: grid;
  gap: 0.1rem;
  min-width: 0;
`;

const UnseenLabel = styled(Label)`
  ${unseen}
`;

interface Choice {
  readonly id: string;
  readonly text: string;
}

interface SelectProps {
  readonly label: string;
  readonly hideLabel?: true;
  readonly choices: readonly Choice[];
  readonly value: string;
  readonly onChange: (id: string) => void;
}

/** One of a few choices, with its label above (or only spoken). */
export function Select({ label, hideLabel, choices, value, onChange }: SelectProps) {
  return (
    <SelectBox selectedKey={value} onSelectionChange={(key) => key !== null && key !== value && onChange(String(key))}>
      {hideLabel ? <UnseenLabel>{label}</UnseenLabel> : <FieldLabel>{label}</FieldLabel>}
      <SelectFace>
        <SelectValue />
        <span aria-hidden>▾</span>
      </SelectFace>
      <Popover>
        <SelectList>
          {choices.map((choice) => (
            <SelectItem key={choice.id} id={choice.id} textValue={choice.text}>
              {choice.text}
            </SelectItem>
          ))}
        </SelectList>
      </Popover>
    </SelectBox>
  );
}

export const PanelTitle = styled.h2`
  font-size: 0.9rem;
  font-weight: 600;
`;

export const PanelSubtitle = styled.h3`
  margin-top: 0.4rem;
  font-size: 0.75rem;
  font-weight: 600;
  color: var(--soft);
`;

export const Stack = styled.div`
  display: flex;
  flex-direction: column;
  gap: 0.5rem;
`;

export const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.35rem;
`;

export const Columns = styled.div`
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 0.4rem;
`;

export const Hint = styled.p`
  color: var(--soft);
  font-size: 0.76rem;
`;
