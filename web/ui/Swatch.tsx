import styled from 'styled-components';
import type { CaseColour } from '@rigid-beam/core/model/model';
import { inkOfColour } from '@rigid-beam/drawing/load-marks';

/** The colour in which the loads of a case are drawn. */
export const Swatch = styled.i<{ readonly $colour: CaseColour | undefined }>`
  display: inline-block;
  width: 0.6rem;
  height: 0.6rem;
  border-radius: 2px;
  background: ${({ $colour }) => `var(--draw-${inkOfColour($colour)})`};
`;
