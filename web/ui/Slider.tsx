'use client';

import { Slider as AriaSlider, SliderThumb, SliderTrack } from 'react-aria-components';
import styled from 'styled-components';

const Track = styled(SliderTrack)`
  height: 1.15rem;
  &::before {
    content: '';
    position: absolute;
    left: 0;
    right: 0;
    top: 50%;
    border-top: 2px solid var(--rule-strong);
  }
`;

const Thumb = styled(SliderThumb)`
  top: 50%;
  width: 0.6rem;
  height: 1rem;
  border-radius: 2px;
  background: var(--ink);
  &[data-focus-visible] {
    outline: 2px solid var(--focus);
    outline-offset: 2px;
  }
`;

interface SliderProps {
  readonly label: string;
  readonly range: readonly [number, number];
  readonly step: number;
  readonly value: number;
  readonly onChange: (value: number) => void;
  /** It is let go. */
  readonly onChangeEnd?: (value: number) => void;
  readonly className?: string;
}

/** A number picked along a line; its label is spoken only. */
export function Slider({ label, range, step, value, onChange, onChangeEnd, className }: SliderProps) {
  return (
    <AriaSlider
      {...(className !== undefined && { className })}
      aria-label={label}
      minValue={range[0]}
      maxValue={range[1]}
      step={step}
      value={value}
      onChange={(next) => onChange(next as number)}
      {...(onChangeEnd && { onChangeEnd: (next) => onChangeEnd(next as number) })}
    >
      <Track>
        <Thumb />
      </Track>
    </AriaSlider>
  );
}
