import type { Random } from '../../core/test/random';
import type { Tortured } from './server';

interface Held {
  readonly id: string;
  readonly nodes: { readonly id: string; readonly x: number; readonly y: number }[];
  readonly title: string;
}

const json = (body: unknown): RequestInit => ({
  method: 'POST',
  headers: { 'Content-Type': 'application/json' },
  body: JSON.stringify(body),
});

/** One who edits a model, remembers what was acknowledged, and asks after every restart whether it is there. */
export class Client {
  private id = '';
  private revision = 0;
  /** Nodes and title as they were acknowledged last. */
  private held: Omit<Held, 'id'> = { nodes: [], title: '' };
  /** The same after an edit whose answer did not come: it may be stored, or not. */
  private doubtful: Omit<Held, 'id'> | undefined;
  acknowledged = 0;
  refused = 0;

  constructor(
    private readonly server: Tortured,
    private readonly random: Random,
    private readonly name: string,
  ) {}

  async open(project: string): Promise<void> {
    const answer = await this.server.ask('/api/models', json({ project, title: this.name }));
    this.id = (answer?.body as { id: string }).id;
    this.held = { nodes: [], title: this.name };
  }

  /** One edit. Returns whether it was acknowledged. */
  async edit(mayFail?: 'full disk'): Promise<boolean> {
    const { intent, next } = this.anyEdit();
    const edit = `${this.name}-${this.revision}-${this.random.below(1e9)}`;
    this.doubtful = next;
    const body = { base: this.revision, edit: edit.padEnd(8, '-'), kind: 'edit', label: 'torture', intent };
    const answer = await this.server.ask(`/api/models/${this.id}/revisions`, json(body), mayFail);
    if (!answer) return false;
    this.doubtful = undefined;
    if (answer.status !== 201) {
      this.refused++;
      if (answer.status !== 503)
        this.server.troubles.push(`${this.name}: ${answer.status} ${JSON.stringify(answer.body).slice(0, 200)}`);
      return false;
    }
    this.held = next;
    this.revision++;
    this.acknowledged++;
    return true;
  }

  /** Everything that was acknowledged must be there, and nothing else but the edit in doubt. */
  async verify(): Promise<void> {
    const answer = await this.server.ask(`/api/models/${this.id}`);
    const { model, revision } = (answer?.body ?? {}) as { model?: Held; revision?: number };
    const found = JSON.stringify({ nodes: model?.nodes, title: model?.title });
    const isHeld = revision === this.revision && found === JSON.stringify(this.held);
    const isNext = this.doubtful && revision === this.revision + 1 && found === JSON.stringify(this.doubtful);
    if (!isHeld && !isNext)
      this.server.troubles.push(
        `${this.name}: revision ${this.revision} was acknowledged, ${revision} is there: ${found.slice(0, 200)}`,
      );
    if (isNext) {
      this.held = this.doubtful!;
      this.revision++;
    }
    this.doubtful = undefined;
  }

  private anyEdit(): { intent: object; next: Omit<Held, 'id'> } {
    const { nodes, title } = this.held;
    const kind = this.random.below(nodes.length > 40 ? 3 : 4);
    if (kind === 0) {
      const next = `${this.name} ${this.random.below(1e6)}`;
      return { intent: { type: 'set', settings: { title: next } }, next: { nodes, title: next } };
    }
    if (kind === 1 && nodes.length > 0) {
      const gone = this.random.of(nodes).id;
      const intent = { type: 'remove', list: 'nodes', keys: [gone] };
      return { intent, next: { nodes: nodes.filter(({ id }) => id !== gone), title } };
    }
    const moved = kind === 2 && nodes.length > 0 ? this.random.of(nodes).id : undefined;
    const entry = { id: moved ?? `n${this.revision}`, x: this.random.below(1e4) / 100, y: this.random.below(1e4) / 100 };
    const others = moved === undefined ? [...nodes, entry] : nodes.map((one) => (one.id === moved ? entry : one));
    const intent = { type: 'put', list: 'nodes', entry, ...(moved !== undefined && { key: moved }) };
    return { intent, next: { nodes: others, title } };
  }
}
