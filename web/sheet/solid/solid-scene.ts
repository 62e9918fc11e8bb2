import {
  BufferAttribute,
  Color,
  DirectionalLight,
  DoubleSide,
  ExtrudeGeometry,
  HemisphereLight,
  InstancedMesh,
  Matrix4,
  MeshLambertMaterial,
  OrthographicCamera,
  Path,
  Scene,
  Shape,
  Vector2,
  Vector3,
  WebGLRenderer,
  type BufferGeometry,
} from 'three';
import type { Loop } from '@rigid-beam/core/sections/path';
import type { Camera } from '@rigid-beam/drawing/camera';
import type { Projection } from '@rigid-beam/drawing/projection';
import { PLACING, type Solids } from '@rigid-beam/drawing/solids';

/** Light takes from colours: what is half as large is more than half as strong. */
const FULL = 0.6;

/** How the scene is looked at, and in which inks. */
export interface Sight {
  readonly camera: Camera;
  readonly projection: Projection;
  readonly ratio: number;
  readonly ink: string;
  readonly paper: string;
  /** Of bodies that carry a colour, for what is positive and negative. */
  readonly inks: readonly [positive: string, negative: string];
}

/** Members as lit bodies on a canvas of their own, which the sheet lays under its lines. One mesh a section, one instance a member. */
export class SolidScene {
  private readonly renderer = new WebGLRenderer({ antialias: true, alpha: true, preserveDrawingBuffer: true });
  private readonly scene = new Scene();
  private readonly camera = new OrthographicCamera();
  private readonly sun = new DirectionalLight(0xffffff, 2.2);
  private readonly sky = new HemisphereLight(0xffffff, 0x8a8f98, 1.15);
  private meshes: InstancedMesh[] = [];
  /** By mesh, what its bodies carry as a colour; and in which inks they have it. */
  private shares: (Float32Array | undefined)[] = [];
  private tinted = '';
  /** How far the bodies reach from the origin, metres. */
  private reach = 1;

  constructor() {
    this.scene.add(this.sky, this.sun, this.sun.target);
    this.camera.matrixAutoUpdate = false;
  }

  /** Takes other bodies in the place of those that are there. */
  take(groups: readonly Solids[]): void {
    this.clear();
    this.reach = 1;
    this.shares = [];
    this.tinted = '';
    for (const { loops, isKnown, members, placings, shares } of groups) {
      this.shares.push(shares);
      const material = new MeshLambertMaterial({ side: DoubleSide, transparent: !isKnown, opacity: isKnown ? 1 : 0.35 });
      const mesh = new InstancedMesh(extruded(loops), material, members.length);
      mesh.instanceMatrix.array.set(placings);
      mesh.instanceMatrix.needsUpdate = true;
      mesh.frustumCulled = false;
      this.scene.add(mesh);
      this.meshes.push(mesh);
      for (let i = 0; i < placings.length; i += PLACING)
        this.reach = Math.max(
          this.reach,
          Math.abs(placings[i + 12]!) + Math.abs(placings[i]!),
          Math.abs(placings[i + 13]!) + Math.abs(placings[i + 1]!),
          Math.abs(placings[i + 14]!) + Math.abs(placings[i + 2]!),
        );
    }
  }

  /** The bodies as they are seen, on a transparent ground. */
  picture({ camera, projection: { right, up, toward }, ratio, ink, paper, inks }: Sight): HTMLCanvasElement {
    const { width, height, scale, x, y } = camera;
    this.renderer.setPixelRatio(ratio);
    this.renderer.setSize(width, height, false);
    const body = new Color(ink).lerp(new Color(paper), 0.6);
    this.tint(body, paper, inks);
    const [halfWidth, halfHeight] = [width / scale / 2, height / scale / 2];
    const far = 4 * this.reach + 2 * (halfWidth + halfHeight) + Math.abs(x) + Math.abs(y);
    Object.assign(this.camera, {
      left: -halfWidth,
      right: halfWidth,
      top: halfHeight,
      bottom: -halfHeight,
      near: 0,
      far: 2 * far,
    });
    this.camera.updateProjectionMatrix();
    const eye = [0, 1, 2].map((k) => x * right[k]! + y * up[k]! + far * toward[k]!) as [number, number, number];
    this.camera.matrix.set(
      right[0], up[0], toward[0], eye[0],
      right[1], up[1], toward[1], eye[1],
      right[2], up[2], toward[2], eye[2],
      0, 0, 0, 1,
    ); // oxfmt-ignore
    this.camera.matrixWorld.copy(this.camera.matrix);
    this.camera.matrixWorldInverse.copy(new Matrix4().copy(this.camera.matrix).invert());
    // The light comes over the left shoulder of whoever looks.
    const over = (a: number, b: number, c: number): Vector3 =>
      new Vector3(...([0, 1, 2].map((k) => a * right[k]! + b * up[k]! + c * toward[k]!) as [number, number, number]));
    this.sun.position.copy(over(-0.55, 0.8, 0.9));
    this.renderer.render(this.scene, this.camera);
    return this.renderer.domElement;
  }

  /** Bodies in one colour, or each in the ink of its value, the stronger the larger it is. */
  private tint(body: Color, paper: string, inks: Sight['inks']): void {
    const key = [body.getHexString(), ...inks].join();
    const isSame = key === this.tinted;
    this.tinted = key;
    const [positive, negative] = inks.map((one) => new Color(one)) as [Color, Color];
    const pale = body.clone().lerp(new Color(paper), 0.75);
    this.meshes.forEach((mesh, g) => {
      const shares = this.shares[g];
      const { color } = mesh.material as MeshLambertMaterial;
      if (!shares) return void color.copy(body);
      if (isSame) return;
      color.set(0xffffff);
      const one = new Color();
      shares.forEach((share, i) => {
        // What is not known is as it is without a colour.
        one.copy(pale).lerp(share < 0 ? negative : positive, Number.isNaN(share) ? 0 : Math.min(1, Math.abs(share) ** FULL));
        mesh.setColorAt(i, one);
      });
      mesh.instanceColor!.needsUpdate = true;
    });
  }

  close(): void {
    this.clear();
    this.renderer.dispose();
  }

  private clear(): void {
    for (const mesh of this.meshes) {
      this.scene.remove(mesh);
      mesh.geometry.dispose();
      (mesh.material as MeshLambertMaterial).dispose();
      mesh.dispose();
    }
    this.meshes = [];
  }
}

/** A body of unit length along x whose section has these lines. */
function extruded(loops: readonly Loop[]): BufferGeometry {
  const shapes: Shape[] = [];
  for (const loop of loops) {
    const points = Array.from({ length: loop.length / 2 }, (_, i) => new Vector2(loop[2 * i], loop[2 * i + 1]));
    if (turnsLeft(loop) || shapes.length === 0) shapes.push(new Shape(points));
    else shapes.at(-1)!.holes.push(new Path(points));
  }
  const geometry = new ExtrudeGeometry(shapes, { depth: 1, bevelEnabled: false, steps: 1 });
  // Built with z to the right, y up and its length towards the viewer: z and x change places, and with them the way round each triangle.
  const places = geometry.getAttribute('position').array as Float32Array;
  const turned = new Float32Array(places.length);
  for (let t = 0; t < places.length; t += 9)
    for (const [to, from] of [[0, 0], [1, 2], [2, 1]] as const) {
      turned[t + 3 * to] = places[t + 3 * from + 2]!;
      turned[t + 3 * to + 1] = places[t + 3 * from + 1]!;
      turned[t + 3 * to + 2] = places[t + 3 * from]!;
    } // oxfmt-ignore
  geometry.setAttribute('position', new BufferAttribute(turned, 3));
  geometry.computeVertexNormals();
  return geometry;
}

/** Whether a line goes round its area anticlockwise. */
function turnsLeft(loop: Loop): boolean {
  let twice = 0;
  for (let i = 0; i < loop.length; i += 2) {
    const next = (i + 2) % loop.length;
    twice += loop[i]! * loop[next + 1]! - loop[next]! * loop[i + 1]!;
  }
  return twice > 0;
}
