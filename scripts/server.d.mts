import type { ChildProcess } from 'node:child_process';

export function startServer(
  port: number,
  environment?: Readonly<Record<string, string>>,
): Promise<{
  readonly child: ChildProcess;
  readonly exited: Promise<number | null>;
  readonly stop: () => Promise<number | null>;
}>;

export function keyIn(data: string): string;
