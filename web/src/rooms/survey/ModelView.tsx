import { Canvas, useThree, type ThreeEvent } from '@react-three/fiber';
import { Component, useEffect, useLayoutEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { Color, DoubleSide, Object3D, Path, Shape, type InstancedMesh } from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import { markOf, modelOf, type Model, type ModelBox } from '@plinth/core';
import { useProject, useView } from '../../project/context';

/** Where one looks from: a direction from the middle of the building, m east, north, up. */
const LOOKS = [
  { title: 'from the corner', from: [-1, -1.3, 0.8] },
  { title: 'from the south', from: [0, -2, 0.15] },
  { title: 'from the west', from: [-2, 0, 0.15] },
  { title: 'from above', from: [0, -0.01, 2] },
] as const;

type Direction = readonly [number, number, number];

/** The frame in three dimensions, turned with the mouse: is it what one meant? */
export default function ModelView() {
  const { building } = useProject();
  const { selected, select } = useView();
  const model = useMemo(() => modelOf(building), [building]);
  const [look, setLook] = useState<{ readonly from: Direction }>(LOOKS[0]);
  return (
    <div className="flex min-h-0 flex-[6] flex-col">
      <div className="flex items-center gap-3 border-b border-rule px-4 py-0.5 text-[12px]" role="toolbar" aria-label="Where to look from">
        {LOOKS.map((entry) => (
          <button key={entry.title} type="button" className="text-soft hover:text-ink" onClick={() => setLook({ from: entry.from })}>
            {entry.title}
          </button>
        ))}
        <span className="flex-1 truncate text-right text-soft" aria-live="polite">
          {selected && model.boxes.some(({ id }) => id === selected) ? `${markOf(building, selected)} is chosen; ` : ''}
          drag to turn, wheel to come nearer, right button to shift
        </span>
      </div>
      <div
        className="min-h-0 flex-1"
        data-testid="model"
        role="img"
        aria-label={`The frame in space: ${model.boxes.length} members, ${model.faces.length} panels`}
      >
        <Fallback>
          <Canvas frameloop="demand" camera={{ fov: 32, near: 0.1, far: 4000 }} onPointerMissed={() => select(null)}>
            <Light />
            <Turning model={model} look={look} />
            <Boxes model={model} selected={selected} pick={select} />
            <Faces model={model} selected={selected} pick={select} />
          </Canvas>
        </Fallback>
      </div>
    </div>
  );
}

/** A browser without the means to draw in space says so. */
class Fallback extends Component<{ children: ReactNode }, { failed: boolean }> {
  override state = { failed: false };
  static getDerivedStateFromError() {
    return { failed: true };
  }
  override render() {
    if (!this.state.failed) return this.props.children;
    return (
      <p className="p-6 text-soft">
        This browser cannot draw in three dimensions (WebGL is off). The plan and the schedule show the same members.
      </p>
    );
  }
}

function Light() {
  return (
    <>
      <ambientLight intensity={1.6} />
      <directionalLight position={[-30, 60, 40]} intensity={1.4} />
    </>
  );
}

/** Turns about the middle of the building. Space of the model is x east, y north, z up; that of the picture has y up. */
function Turning({ model, look }: { model: Model; look: { readonly from: Direction } }) {
  const { camera, gl, invalidate } = useThree();
  const { centre, reach } = model;
  const [x, y, z] = centre;
  useEffect(() => {
    const controls = new OrbitControls(camera, gl.domElement);
    controls.target.set(x, z, -y);
    const [east, north, up] = look.from;
    const far = (2.4 * reach) / Math.hypot(east, north, up) / Math.tan((16 * Math.PI) / 180) / 2;
    camera.position.set(x + east * far, z + up * far, -(y + north * far));
    controls.addEventListener('change', () => invalidate());
    controls.update();
    invalidate();
    return () => controls.dispose();
    // a building that is edited does not jump: only another look, or another extent, turns it back
  }, [camera, gl, invalidate, look, x, y, z, reach]);
  return null;
}

const FILL: Record<ModelBox['kind'], string> = {
  beam: '--ink',
  column: '--ink',
  hanger: '--soft',
  wall: '--f-masonry',
  footing: '--f-concrete',
  stripFooting: '--f-concrete',
};

/** A colour of the page, as it is in the theme of the moment. */
function inked(name: string): Color {
  return new Color(getComputedStyle(document.documentElement).getPropertyValue(name).trim() || '#444');
}

interface Picking {
  readonly model: Model;
  readonly selected: string | null;
  readonly pick: (id: string) => void;
}

/** Every member as one instance of one box. */
function Boxes({ model: { boxes }, selected, pick }: Picking) {
  const mesh = useRef<InstancedMesh>(null);
  const { invalidate } = useThree();
  useLayoutEffect(() => {
    const target = mesh.current;
    if (!target) return;
    const place = new Object3D();
    const colours = new Map<string, Color>();
    const colour = (name: string) => {
      let found = colours.get(name);
      if (!found) colours.set(name, (found = inked(name)));
      return found;
    };
    boxes.forEach(({ id, kind, centre, size, turn }, i) => {
      place.position.set(centre[0], centre[2], -centre[1]);
      place.rotation.set(0, turn, 0);
      place.scale.set(Math.max(size[0], 0.02), Math.max(size[2], 0.02), Math.max(size[1], 0.02));
      place.updateMatrix();
      target.setMatrixAt(i, place.matrix);
      target.setColorAt(i, colour(id === selected ? '--oxide' : FILL[kind]));
    });
    target.count = boxes.length;
    target.instanceMatrix.needsUpdate = true;
    if (target.instanceColor) target.instanceColor.needsUpdate = true;
    target.computeBoundingSphere();
    invalidate();
  }, [boxes, selected, invalidate]);
  const click = (event: ThreeEvent<MouseEvent>) => {
    event.stopPropagation();
    const hit = event.instanceId === undefined ? undefined : boxes[event.instanceId];
    if (hit && event.delta < 4) pick(hit.id);
  };
  return (
    <instancedMesh
      key={boxes.length}
      ref={mesh}
      args={[undefined, undefined, Math.max(1, boxes.length)]}
      onClick={click}
      frustumCulled={false}
    >
      <boxGeometry args={[1, 1, 1]} />
      <meshStandardMaterial roughness={0.85} metalness={0} />
    </instancedMesh>
  );
}

/** Panels as thin faces that let what is beneath them through. */
function Faces({ model: { faces }, selected, pick }: Picking) {
  const shapes = useMemo(
    () =>
      faces.map(({ id, outline, openings, z }) => {
        const shape = new Shape();
        outline.forEach(([x, y], i) => (i === 0 ? shape.moveTo(x, y) : shape.lineTo(x, y)));
        for (const opening of openings) {
          const hole = new Path();
          opening.forEach(([x, y], i) => (i === 0 ? hole.moveTo(x, y) : hole.lineTo(x, y)));
          shape.holes.push(hole);
        }
        return { id, shape, z };
      }),
    [faces],
  );
  const [plain, chosen] = useMemo(() => [inked('--n-superimposed'), inked('--oxide')], []);
  return (
    <>
      {shapes.map(({ id, shape, z }) => (
        <mesh
          key={id}
          position={[0, z, 0]}
          rotation={[-Math.PI / 2, 0, 0]}
          onClick={(event) => {
            event.stopPropagation();
            if (event.delta < 4) pick(id);
          }}
        >
          <shapeGeometry args={[shape]} />
          <meshBasicMaterial color={id === selected ? chosen : plain} transparent opacity={0.28} side={DoubleSide} depthWrite={false} />
        </mesh>
      ))}
    </>
  );
}
