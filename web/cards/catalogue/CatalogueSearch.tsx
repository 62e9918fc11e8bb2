'use client';

import { useEffect, useEffectEvent, useState, type KeyboardEvent } from 'react';
import { Autocomplete, ListBox, ListBoxItem, SearchField } from 'react-aria-components';
import styled from 'styled-components';
import { unitOf, type DisplayUnits } from '@rigid-beam/core/quantities/display';
import { inUnit, showNumber, showQuantity } from '@rigid-beam/core/quantities/show';
import type { CatalogueShape } from '@rigid-beam/core/sections/catalogue/family';
import { readRelative } from '@rigid-beam/core/sections/relative';
import { recentShapes, rememberShape } from '../../editor/catalogue/recent-shapes';
import { useDisplay, useModel } from '../../editor/use-editor';
import { Button, FieldInput, FieldLabel, FieldNote, focusFace, Hint, Row, Select, Stack, ToggleButton } from '../../ui/controls';
import { ShapePicture } from '../../ui/ShapePicture';
import { catalogueSearch as WORDS, KINDS, SORTS } from './words';
import { ShapeSheet } from './ShapeSheet';
import { useCatalogue, type Catalogue } from '../../editor/catalogue/use-catalogue';

/** Rows that are listed at most: whoever wants others types more. */
const MOST = 80;

const Field = styled(SearchField)`
  display: grid;
  gap: 0.1rem;
`;

const List = styled(ListBox)`
  max-height: 10.5rem;
  overflow-y: auto;
  border: 1px solid var(--rule);
  border-radius: 3px;
  background: var(--paper);
  &[data-empty] {
    padding: 0.3rem 0.5rem;
    color: var(--soft);
  }
` as typeof ListBox;

const Line = styled(ListBoxItem)`
  ${focusFace}
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0.5rem;
  padding: 0.15rem 0.5rem;
  cursor: default;
  small {
    font-size: 0.72rem;
  }
  &[data-hovered] {
    background: var(--hover);
  }
  &[data-selected],
  &[data-focused] {
    background: var(--hover);
    box-shadow: inset 3px 0 0 var(--ink);
  }
`;

const Kinds = styled(Row)`
  flex-wrap: nowrap;
  gap: 0.2rem;
  button {
    padding: 0.1rem 0.2rem;
    min-height: 1.5rem;
  }
`;

/** What is done with a shape that was chosen, said on its button. */
export interface ShapeAction {
  readonly words: string;
  readonly act: (catalogue: Catalogue, one: CatalogueShape) => void;
}

interface CatalogueSearchProps {
  /** The length that is to be spanned, metres: depths that suit it are suggested. */
  readonly span?: number;
  readonly actionOf: (one: CatalogueShape) => ShapeAction;
  /** What is done with a multiple such as 2 I that is typed here, for hand calculations. */
  readonly relative: (times: number) => { readonly words: string; readonly act: () => void };
}

/** Choosing a standard shape: searched as one types, looked at, and then taken. */
export function CatalogueSearch({ actionOf, relative, span }: CatalogueSearchProps) {
  const [text, setText] = useState('');
  const [isOpen, setIsOpen] = useState(false);
  const [kind, setKind] = useState<(typeof KINDS)[number]['id']>();
  const [sort, setSort] = useState<(typeof SORTS)[number]['id']>('as listed');
  const [looked, setLooked] = useState<CatalogueShape>();
  const [hurried, setHurried] = useState<string>();
  const display = useDisplay();
  const catalogue = useCatalogue(isOpen ? 'wanted' : 'not yet');
  const used = useModel().sections.flatMap((section) => section.catalogue ?? []);
  const times = readRelative(text);
  const found = times === undefined ? catalogue?.searchCatalogue({ text, type: kind, sort, strong: display.strong }) : undefined;
  const shapes = found?.ok ? (text === '' && sort === 'as listed' ? familiarFirst(found.shapes, used) : found.shapes) : [];
  const shown = looked && shapes.includes(looked) ? looked : text === '' ? undefined : shapes[0];
  const take = (one: CatalogueShape): void => {
    if (!catalogue) return;
    rememberShape(one.designation);
    actionOf(one).act(catalogue, one);
  };
  // Enter came before the catalogue: what it meant is taken as soon as it can be.
  const takeHurried = useEffectEvent(() => {
    setHurried(undefined);
    if (shown && hurried === text) take(shown);
  });
  useEffect(() => {
    if (catalogue && hurried !== undefined) takeHurried();
  }, [catalogue, hurried]);
  const close = (): void => {
    setText('');
    setIsOpen(false);
    setLooked(undefined);
  };
  /** Enter in the field takes what is looked at; buttons, and lists that open over the page, keep their own keys. */
  const onKey = (event: KeyboardEvent): void => {
    if (!(event.target instanceof HTMLInputElement)) return;
    if (event.key === 'Escape' && isOpen) close();
    else if (event.key === 'Enter' && times !== undefined) relative(times).act();
    else if (event.key === 'Enter' && shown) take(shown);
    else if (event.key === 'Enter' && !catalogue && text !== '') setHurried(text);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };

  return (
    <Stack onKeyDownCapture={onKey} onKeyDown={keepFromPage}>
      <Autocomplete inputValue={text} onInputChange={setText} disableAutoFocusFirst>
        <Field onFocus={() => setIsOpen(true)}>
          <FieldLabel>{WORDS.field}</FieldLabel>
          <FieldInput placeholder={WORDS.placeholder} autoComplete="off" spellCheck={false} />
          {found && !found.ok && (
            <FieldNote slot="description" data-fault>
              {found.reason}.
            </FieldNote>
          )}
        </Field>
        {isOpen && (
          <>
            <Kinds role="group" aria-label={WORDS.kinds}>
              {KINDS.map(({ id, words, shape }) => (
                <ToggleButton
                  key={id}
                  aria-label={words}
                  isSelected={kind === id}
                  onChange={(on) => setKind(on ? id : undefined)}
                >
                  <ShapePicture shape={shape} size={16} />
                </ToggleButton>
              ))}
              <Select label={WORDS.sort} hideLabel choices={SORTS} value={sort} onChange={(id) => setSort(id as typeof sort)} />
            </Kinds>
            {span !== undefined && (
              <Row role="group" aria-label={WORDS.depths}>
                {SLENDERNESS.map((ratio) => (
                  <Button key={ratio} onPress={() => setText(depthText(span / ratio))}>
                    {WORDS.depth(ratio, showQuantity(span / ratio, display.deflection, 2))}
                  </Button>
                ))}
              </Row>
            )}
            {catalogue && times === undefined && (
              <List
                aria-label={WORDS.list(shapes.length)}
                items={shapes.slice(0, MOST).map((one) => ({ id: one.designation, one }))}
                selectionMode="single"
                selectedKeys={shown ? [shown.designation] : []}
                onSelectionChange={(keys) => {
                  const key = keys === 'all' ? undefined : [...keys][0];
                  const chosen = shapes.find(({ designation }) => designation === key);
                  if (chosen) setLooked(chosen);
                }}
                renderEmptyState={() => (found?.ok ? WORDS.nothing : '')}
              >
                {({ one }: { readonly one: CatalogueShape }) => (
                  <Line id={one.designation} textValue={one.designation}>
                    {({ isFocused }) => (
                      <>
                        <Looked one={one} isFocused={isFocused} onLook={setLooked} />
                        <span>{one.designation}</span>
                        <small className="number">{noteOf(catalogue, one, display)}</small>
                      </>
                    )}
                  </Line>
                )}
              </List>
            )}
          </>
        )}
      </Autocomplete>
      {isOpen && shapes.length > MOST && <Hint>{WORDS.more(MOST, shapes.length)}</Hint>}
      {isOpen && (
        <Row>
          {times !== undefined && <Button onPress={relative(times).act}>{relative(times).words}</Button>}
          {shown && times === undefined && <Button onPress={() => take(shown)}>{actionOf(shown).words}</Button>}
          <Button onPress={close}>{WORDS.close}</Button>
        </Row>
      )}
      {isOpen && catalogue && shown && times === undefined && <ShapeSheet catalogue={catalogue} one={shown} display={display} />}
    </Stack>
  );
}

/** A key that the list hears while the focus is in the field comes from nowhere that the page knows. */
const keepFromPage = (event: KeyboardEvent): void => {
  if (event.target !== document.activeElement) event.stopPropagation();
};

/** Span over depth of a light and of a stiff beam. */
const SLENDERNESS = [20, 15] as const;

/** Depths near to one, as a condition that can be changed. */
const depthText = (depth: number): string => `h > ${Math.round(900 * depth)} mm, h < ${Math.round(1150 * depth)} mm`;

interface LookedProps {
  readonly one: CatalogueShape;
  readonly isFocused: boolean;
  readonly onLook: (one: CatalogueShape) => void;
}

/** What the keys stand on is looked at. */
function Looked({ one, isFocused, onLook }: LookedProps) {
  useEffect(() => {
    if (isFocused) onLook(one);
  }, [one, isFocused, onLook]);
  return null;
}

function noteOf(catalogue: Catalogue, one: CatalogueShape, display: DisplayUnits): string {
  const { mass, Iz } = catalogue.listed(one);
  const unit = display.section;
  const inertia = `I ${showNumber(inUnit(Iz, `${unit}4`), 4)} ${unit}⁴`;
  return mass === undefined ? inertia : `${showQuantity(mass, unitOf('massPerLength', display), 3)} · ${inertia}`;
}

/** Those of the model first, then those chosen last. */
function familiarFirst(shapes: readonly CatalogueShape[], used: readonly string[]): readonly CatalogueShape[] {
  const first = [...new Set([...used, ...recentShapes()])];
  const rank = new Map(first.map((designation, i) => [designation, i]));
  const known = shapes.filter(({ designation }) => rank.has(designation));
  known.sort((a, b) => rank.get(a.designation)! - rank.get(b.designation)!);
  return [...known, ...shapes.filter(({ designation }) => !rank.has(designation))];
}
