import { FREEDOMS, type Structure } from './structure';

/** n: 1 where a support holds a freedom that takes part. */
export function supportedNodes({ active, restraints, names }: Structure): Uint8Array {
  const supported = new Uint8Array(names.nodes.length);
  for (let i = 0; i < supported.length; i++) for (const k of active) if (restraints[FREEDOMS * i + k]! > 0) supported[i] = 1;
  return supported;
}
