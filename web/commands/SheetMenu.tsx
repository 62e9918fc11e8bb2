'use client';

import { displayOf } from '@rigid-beam/core/quantities/display';
import { useEffect, useRef } from 'react';
import styled from 'styled-components';
import { useStore } from 'zustand';
import { commandsFor } from './all';
import { lacking } from './command';
import { overFace, PlainButton } from '../ui/controls';
import type { SheetController } from '../sheet/controller';
import { sheetMenu as WORDS } from './words';

const Place = styled.div`
  position: absolute;
  z-index: 6;
  display: grid;
  padding: 0.25rem;
  ${overFace}
  button {
    justify-content: flex-start;
  }
`;

/** The other choices for what lies under the pointer; arrow keys go up and down, Escape closes. */
export function SheetMenu({ controller }: { readonly controller: SheetController }) {
  const menu = useStore(controller.store, (state) => state.menu);
  const place = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (menu) place.current?.querySelector('button')?.focus();
  }, [menu]);
  if (!menu) return null;
  const offered = commandsFor(displayOf(controller.editor.state.model)).filter(
    (command) => command.inMenu && (command.fits?.(controller) ?? true) && lacking(command, controller) === undefined,
  );
  const close = (): void => controller.openMenu(undefined);
  return (
    <Place
      ref={place}
      role="group"
      aria-label={WORDS.otherChoices}
      style={{
        left: `min(${menu.x}px, calc(100% - 16rem))`,
        top: `min(${menu.y}px, calc(100% - ${2 + offered.length * 1.9}rem))`,
      }}
      onKeyDown={(event) => {
        const buttons = [...(place.current?.querySelectorAll('button') ?? [])];
        const at = buttons.indexOf(document.activeElement as HTMLButtonElement);
        if (event.key === 'ArrowDown') buttons[Math.min(at + 1, buttons.length - 1)]?.focus();
        else if (event.key === 'ArrowUp') buttons[Math.max(at - 1, 0)]?.focus();
        else if (event.key === 'Escape') close();
        else return;
        event.preventDefault();
        event.stopPropagation();
      }}
    >
      {offered.length === 0 && <span>{WORDS.nothingIsSelectedHere}</span>}
      {offered.map((command) => (
        <PlainButton
          key={command.name}
          onPress={() => {
            close();
            command.run(controller, '');
          }}
        >
          {command.name}
        </PlainButton>
      ))}
    </Place>
  );
}
