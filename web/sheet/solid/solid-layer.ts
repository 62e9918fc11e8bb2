import type { Coloured } from '@rigid-beam/drawing/coloured-items';
import { solidsOf } from '@rigid-beam/drawing/solids';
import type { Deflected } from '@rigid-beam/drawing/diagram-items';
import type { EditorState } from '../../editor/editor-state';
import type { SolidScene, Sight } from './solid-scene';
import { solidLayer as WORDS } from '../words';

/** The bodies under the drawing: fetched when they are first wanted, built anew when what they show has changed. */
export class SolidLayer {
  private scene: SolidScene | undefined;
  private state: 'not yet' | 'coming' | 'there' | 'none' = 'not yet';
  private built: readonly unknown[] = [];

  constructor(
    /** Asks for another picture: the bodies are there. */
    private readonly again: () => void,
    private readonly say: (words: string) => void,
  ) {}

  /** What lies under the lines; undefined until it is there. */
  picture(
    { drawn, hidden }: EditorState,
    bent: Deflected | undefined,
    coloured: Coloured | undefined,
    sight: Sight,
  ): HTMLCanvasElement | undefined {
    if (this.state === 'not yet') void this.fetch();
    if (!this.scene || sight.camera.width === 0) return undefined;
    const { nodes, members, sections } = drawn.model;
    const shown = [nodes, members, sections, hidden, bent?.solution, bent?.outcome, bent?.factor, coloured?.solution, coloured?.outcome, coloured?.quantity]; // oxfmt-ignore
    if (shown.some((part, i) => part !== this.built[i])) {
      const start = performance.now();
      this.scene.take(solidsOf(drawn.model, hidden, bent, coloured));
      this.built = shown;
      // The bench reads it.
      performance.measure('solid bodies', { start });
    }
    const start = performance.now();
    const picture = this.scene.picture(sight);
    performance.measure('solid picture', { start });
    return picture;
  }

  close(): void {
    this.scene?.close();
    this.state = 'none';
    this.scene = undefined;
  }

  private async fetch(): Promise<void> {
    this.state = 'coming';
    try {
      const made = new (await import('./solid-scene')).SolidScene();
      // Closed while it was on its way.
      if ((this.state as string) === 'none') return made.close();
      this.scene = made;
      this.state = 'there';
      this.again();
    } catch {
      this.state = 'none';
      this.say(WORDS.none);
    }
  }
}
