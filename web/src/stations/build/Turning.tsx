import { useEffect, useRef, useState } from 'react';
import {
  AmbientLight,
  Color,
  DirectionalLight,
  Mesh,
  MeshStandardMaterial,
  PerspectiveCamera,
  Scene,
  WebGLRenderer,
  type BufferGeometry,
} from 'three';
import { STLLoader } from 'three/examples/jsm/loaders/STLLoader.js';

import { fetchFile } from '../../api/reach';
import { Problem } from '../../ui/Problem';

const DEGREES = Math.PI / 180;
const STEP = 15 * DEGREES;
const SIDE = new Intl.NumberFormat('en-GB', { maximumFractionDigits: 1, useGrouping: false });

/** More than this is no part for a phone to turn. */
const MOST_BYTES = 30_000_000;

/** A model that turns, by itself where motion is welcome, and by dragging or the arrow keys. */
export function Turning({ url, name }: { url: string; name: string }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [problem, setProblem] = useState('');
  const [size, setSize] = useState('');

  useEffect(() => {
    const at = canvas.current;
    if (at === null) return;
    let gone = false;
    let stop: () => void = () => undefined;
    void load(url)
      .then((geometry) => {
        if (gone) return;
        setSize(sizeOf(geometry));
        stop = turn(at, geometry);
      })
      .catch((error: unknown) => {
        if (!gone) setProblem(error instanceof Error ? error.message : 'This model could not be opened.');
      });
    return () => {
      gone = true;
      stop();
    };
  }, [url]);

  return (
    <figure>
      <canvas
        ref={canvas}
        tabIndex={0}
        role="img"
        aria-label={`Model ${name}; the arrow keys turn it`}
        className="aspect-4/3 w-full touch-none border border-rule bg-paper"
      />
      <figcaption className="mt-1 text-sm text-soft">{size}</figcaption>
      <Problem says={problem} />
    </figure>
  );
}

async function load(url: string): Promise<BufferGeometry> {
  const bytes = await fetchFile(url);
  if (bytes.byteLength > MOST_BYTES)
    throw new Error('This model is too large to be turned here. Save it, and open it elsewhere.');
  let geometry: BufferGeometry;
  try {
    geometry = new STLLoader().parse(bytes);
  } catch {
    throw new Error('This file is no STL model.');
  }
  if ((geometry.getAttribute('position')?.count ?? 0) === 0) throw new Error('There is nothing in this model.');
  return geometry;
}

/** A model of this kind has no unit; makers draw in millimetres. */
function sizeOf(geometry: BufferGeometry): string {
  geometry.computeBoundingBox();
  const box = geometry.boundingBox;
  if (box === null) return '';
  const sides = [box.max.x - box.min.x, box.max.y - box.min.y, box.max.z - box.min.z].map((side) => SIDE.format(side));
  return `${sides.join(' × ')} in the units of the file (usually mm)`;
}

function rendererOn(canvas: HTMLCanvasElement): WebGLRenderer {
  try {
    return new WebGLRenderer({ canvas, antialias: true, alpha: true });
  } catch {
    throw new Error('This browser cannot draw models. Save the file, and open it elsewhere.');
  }
}

function turn(canvas: HTMLCanvasElement, geometry: BufferGeometry): () => void {
  const renderer = rendererOn(canvas);
  renderer.setPixelRatio(Math.min(2, window.devicePixelRatio));
  geometry.center();
  geometry.computeBoundingSphere();
  const radius = geometry.boundingSphere?.radius ?? 1;
  const mesh = new Mesh(
    geometry,
    new MeshStandardMaterial({ color: new Color('#8a7a5c'), roughness: 0.7, flatShading: true }),
  );
  mesh.rotation.x = -60 * DEGREES;
  const light = new DirectionalLight('#ffffff', 2.2);
  light.position.set(1, 1.4, 2);
  const scene = new Scene();
  scene.add(mesh, light, new AmbientLight('#ffffff', 1.1));
  const camera = new PerspectiveCamera(35, 4 / 3, radius / 100, radius * 20);
  camera.position.z = radius * 3.6;

  const draw = () => {
    const { clientWidth: width, clientHeight: height } = canvas;
    renderer.setSize(width, height, false);
    camera.aspect = width / Math.max(1, height);
    camera.updateProjectionMatrix();
    renderer.render(scene, camera);
  };
  const still = window.matchMedia('(prefers-reduced-motion: reduce)').matches;
  let held = false;
  let frame = 0;
  const spin = () => {
    if (!held) mesh.rotation.z += 0.4 * DEGREES;
    draw();
    frame = window.requestAnimationFrame(spin);
  };
  const move = (e: PointerEvent) => {
    if (e.buttons === 0) return;
    held = true;
    mesh.rotation.z += e.movementX * 0.5 * DEGREES;
    mesh.rotation.x += e.movementY * 0.5 * DEGREES;
    draw();
  };
  const key = (e: KeyboardEvent) => {
    const by = { ArrowLeft: [0, -STEP], ArrowRight: [0, STEP], ArrowUp: [-STEP, 0], ArrowDown: [STEP, 0] }[e.key];
    if (by === undefined) return;
    e.preventDefault();
    held = true;
    mesh.rotation.x += by[0] ?? 0;
    mesh.rotation.z += by[1] ?? 0;
    draw();
  };
  canvas.addEventListener('pointermove', move);
  canvas.addEventListener('keydown', key);
  if (still) draw();
  else spin();
  return () => {
    window.cancelAnimationFrame(frame);
    canvas.removeEventListener('pointermove', move);
    canvas.removeEventListener('keydown', key);
    geometry.dispose();
    renderer.dispose();
  };
}
