'use client';

import styled from 'styled-components';

/** What a drawing is painted on. Never reached by the keyboard: the items of the drawing are. */
export const Canvas = styled.canvas`
  display: block;
  width: 100%;
  height: 100%;
  touch-action: none;
  outline: none;
`;
