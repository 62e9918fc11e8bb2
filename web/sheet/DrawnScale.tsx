'use client';

import { DialogTrigger, Popover } from 'react-aria-components';
import styled from 'styled-components';
import { inkOf } from '@rigid-beam/drawing/diagram-items';
import type { SheetQuantity } from '@rigid-beam/drawing/view';
import { togetherOf } from '../editor/editor-state';
import { useDisplay, useEditor, useEditorState } from '../editor/use-editor';
import { Slider } from '../ui/Slider';
import { TextLine } from '../ui/TextLine';
import { readScale } from './read-scale';
import type { Scales } from '@rigid-beam/drawing/scale-words';
import { scalesOf } from './scale-words';
import { Over, Slim } from './title-controls';
import type { Shown } from './title-words';
import { titleBlock as WORDS } from './words';

const ScaleSlider = styled(Slider)`
  width: 11rem;
`;

const Bands = styled.span`
  display: inline-flex;
  vertical-align: middle;
  margin: 0 0.3rem;
  i {
    width: 0.55rem;
    height: 0.7rem;
  }
`;

/** What lengths and colours of the drawing stand for; dragged, diagrams and deflections grow. */
export function DrawnScale({ state, outcome }: { readonly state: Shown; readonly outcome: number }) {
  const editor = useEditor();
  const beside = useEditorState((all) => all.beside);
  const display = useDisplay();
  const scales = scalesOf(state, outcome, beside && togetherOf(editor.page.store.getState()));
  if (!scales) return null;
  const { colours, words, own, drawn } = scales;
  return (
    <>
      {colours && <ColourScale {...colours} quantity={state.quantity} />}
      {words && (
        <DialogTrigger>
          <Slim className="number" aria-label={WORDS.scaleNow(words)}>
            {words}
          </Slim>
          <Popover placement="top">
            <Over aria-label={WORDS.scaleField}>
              <ScaleSlider
                label={WORDS.diagramScale}
                range={[-2, 2]}
                step={0.25}
                value={Math.log2(state.diagramFactor)}
                onChange={(value) => {
                  // What has a scale of its own grows along again.
                  editor.scale(drawn, undefined);
                  editor.show({ diagramFactor: 2 ** value });
                }}
              />
              {own && (
                <TextLine
                  label={WORDS.ownScale}
                  value={own.words}
                  understand={(text) => readScale(text, own.quantity, display)}
                  onCommit={(text) => {
                    const read = readScale(text, own.quantity, display);
                    if (read.ok) editor.scale([own.quantity], read.scale);
                  }}
                />
              )}
              {drawn.some((one) => state.scales[one] !== undefined) && (
                <Slim onPress={() => editor.scale(drawn, undefined)}>{WORDS.anyScale}</Slim>
              )}
            </Over>
          </Popover>
        </DialogTrigger>
      )}
    </>
  );
}

/** From nothing to the largest value: the inks of what is positive, or pulled, over those of what is negative. */
function ColourScale({ least, most, quantity }: NonNullable<Scales['colours']> & { readonly quantity: SheetQuantity }) {
  return (
    <span className="number" aria-label={WORDS.colourScale(`${least} … ${most}`)}>
      {least}
      {([1, -1] as const).map((sign) => (
        <Bands key={sign} aria-hidden>
          {COLOUR_STEPS.map((step) => (
            <i key={step} style={{ background: `var(--draw-${inkOf(quantity, sign)})`, opacity: step }} />
          ))}
        </Bands>
      ))}
      {most}
    </span>
  );
}
const COLOUR_STEPS = [0.11, 0.33, 0.56, 0.78, 1];
