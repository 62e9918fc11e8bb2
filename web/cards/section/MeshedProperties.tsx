'use client';

import { withAxes } from '@rigid-beam/core/quantities/axis-names';
import { useEffect, useState } from 'react';
import type { Shape } from '@rigid-beam/core/shapes/shape';
import { inUnit, showNumber, showQuantity } from '@rigid-beam/core/quantities/show';
import { useDisplay } from '../../editor/use-editor';
import { measureSection } from '../../solver/section-client';
import type { Measured } from '../../solver/section.worker';
import { Hint } from '../../ui/controls';
import { PropertyList } from '../../ui/PropertyList';
import { withPowers } from '@rigid-beam/core/quantities/with-powers';
import { meshed as WORDS } from './words';

/** What only a solution over the whole section tells, found in a worker of its own, with the digits that can be claimed. */
export function MeshedProperties({ shape }: { readonly shape: Shape }) {
  const display = useDisplay();
  const [found, setFound] = useState<{ readonly shape: Shape; readonly measured?: Measured; readonly failure?: string }>();
  useEffect(() => {
    let isWanted = true;
    measureSection(shape).then(
      (measured) => isWanted && setFound({ shape, measured }),
      (error: Error) => isWanted && setFound({ shape, failure: error.message }),
    );
    return () => {
      isWanted = false;
    };
  }, [shape]);
  if (found?.failure !== undefined) return <Hint role="alert">{found.failure}</Hint>;
  const measured = found?.measured;
  if (!measured) return <Hint role="status">{WORDS.looking}</Hint>;
  const unit = display.section;
  const powered = (value: number, power: number): string =>
    `${showNumber(inUnit(value, `${unit}^${power}`), 4)} ${withPowers(`${unit}${power}`)}`;
  const { J, Iw, Ay, Az, shearCentre, centroid, principal, mesh, Iyz } = measured;
  const small = display.deflection;
  const rows: readonly (readonly [string, string | undefined])[] = [
    [WORDS.J, powered(J, 4)],
    [WORDS.Iw, Iw === undefined ? undefined : powered(Iw, 6)],
    [withAxes(WORDS.Ay, display), Ay === undefined ? undefined : powered(Ay, 2)],
    [withAxes(WORDS.Az, display), Az === undefined ? undefined : powered(Az, 2)],
    [
      WORDS.centre,
      shearCentre &&
        `${showQuantity(tidy(shearCentre.z - centroid.z), small, 4)}, ${showQuantity(tidy(shearCentre.y - centroid.y), small, 4)}`,
    ],
    [WORDS.principal, Iyz === 0 ? undefined : `${powered(principal.I1, 4)}, ${powered(principal.I2, 4)}`],
  ];
  return (
    <>
      <PropertyList $pairs={1} className="number">
        {rows.map(([name, value]) => value !== undefined && [<dt key={name}>{name}</dt>, <dd key={`${name} =`}>{value}</dd>])}
      </PropertyList>
      {Iyz !== 0 && <Hint>{WORDS.turned(showNumber(principal.angle, 4))}</Hint>}
      {Iw === undefined && <Hint>{WORDS.pieces}</Hint>}
      <Hint>{WORDS.claims(mesh.triangles, showQuantity(mesh.size, small, 2), mesh.digits)}</Hint>
    </>
  );

  /** A place that only the mesh has moved from an axis of symmetry. */
  function tidy(value: number): number {
    return Math.abs(value) < 1e-3 * Math.sqrt(measured!.A) * 0.1 ? 0 : value;
  }
}
