import { readIfc } from '@rigid-beam/core/formats/ifc/read-ifc';
import { writeIfc } from '@rigid-beam/core/formats/ifc/write-ifc';
import { readyStep } from '@rigid-beam/core/formats/step/engine';
import { spaceBuilding } from './structures';

/** IFC: written and read, of a thousand members and of some more; milliseconds, and bytes of the largest memory of the process. */
await readyStep();
const times = [spaceBuilding(5, 5, 11, 3), spaceBuilding(12, 10, 16, 3)].map((model) => {
  const begun = performance.now();
  const text = writeIfc(model, () => ({ status: 'invalid', notices: [], mechanisms: [] }), { share: 'none', stations: 2 }).join(
    '',
  );
  const written = performance.now();
  const bytes = new TextEncoder().encode(text);
  if (!readIfc(bytes).model) throw new Error('what was written cannot be read');
  return {
    members: model.members.length,
    bytes: bytes.length,
    entities: text.split('\n#').length,
    written: written - begun,
    read: performance.now() - written,
  };
});
console.log(JSON.stringify({ times, memory: 1024 * process.resourceUsage().maxRSS }));
