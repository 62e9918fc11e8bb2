'use client';

import { Dialog } from 'react-aria-components';
import styled from 'styled-components';
import { overFace, PlainButton } from '../ui/controls';

/** What opens over the title block. */
export const Over = styled(Dialog)`
  display: grid;
  gap: 0.2rem;
  padding: 0.5rem 0.6rem;
  ${overFace}
`;

/** A button in a line of text. */
export const Slim = styled(PlainButton)`
  min-height: 1.4rem;
  padding: 0 0.3rem;
`;
