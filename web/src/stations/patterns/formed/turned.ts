import {
  AmbientLight,
  BufferAttribute,
  BufferGeometry,
  CanvasTexture,
  DirectionalLight,
  DoubleSide,
  Mesh,
  MeshLambertMaterial,
  PerspectiveCamera,
  SRGBColorSpace,
  Scene,
  WebGLRenderer,
} from 'three';
import type { FormMesh } from '#core/pattern';

/** How far from the eye, as times the size of the form, and the angle that the eye sees, degrees. */
const [AWAY, ANGLE] = [2.15, 30];
/** Where it begins: seen a little from above, radians. */
const BEGIN = { x: 0.45, y: 0.4 };
/** Light from everywhere, and from where the eye is: what faces the eye is seen in its true colours. */
const [AROUND, FROM_EYE] = [0.5, 0.5];

/** What takes a picture of a form as it is seen now. */
export interface StillMaker {
  /** as a PNG; null where there is nothing to see */
  take(): Promise<Uint8Array | null>;
}

/** A round form in space that can be turned. */
export interface TurnedForm extends StillMaker {
  show(mesh: FormMesh, picture: ImageData): void;
  /** radians about the axis across and the upright one */
  turn(across: number, upright: number): void;
  leave(): void;
}

function geometryOf({ corners, places, triangles }: FormMesh): BufferGeometry {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(corners, 3));
  geometry.setAttribute('uv', new BufferAttribute(places, 2));
  geometry.setIndex(new BufferAttribute(triangles, 1));
  geometry.computeVertexNormals();
  return geometry;
}

/** The surface as it is painted, its colours unchanged. */
function textureOf(picture: ImageData): CanvasTexture {
  const canvas = document.createElement('canvas');
  canvas.width = picture.width;
  canvas.height = picture.height;
  canvas.getContext('2d')?.putImageData(picture, 0, 0);
  const texture = new CanvasTexture(canvas);
  texture.colorSpace = SRGBColorSpace;
  texture.anisotropy = 4;
  return texture;
}

function rendererOn(canvas: HTMLCanvasElement): WebGLRenderer | null {
  try {
    return new WebGLRenderer({ canvas, antialias: true, alpha: true, preserveDrawingBuffer: true });
  } catch {
    // the package throws plain errors where a browser has no WebGL
    return null;
  }
}

/** A form on a canvas; null where the browser cannot draw in space. @param size px a side */
export function turnedForm(canvas: HTMLCanvasElement, size: number): TurnedForm | null {
  const renderer = rendererOn(canvas);
  if (!renderer) return null;
  renderer.setPixelRatio(window.devicePixelRatio);
  renderer.setSize(size, size, false);
  const [scene, camera] = [new Scene(), new PerspectiveCamera(ANGLE, 1, 0.1, 10_000)];
  scene.add(new AmbientLight(0xffffff, AROUND * Math.PI));
  const lamp = new DirectionalLight(0xffffff, FROM_EYE * Math.PI);
  scene.add(lamp);
  const material = new MeshLambertMaterial({ side: DoubleSide });
  const mesh = new Mesh(new BufferGeometry(), material);
  mesh.rotation.set(BEGIN.x, BEGIN.y, 0);
  scene.add(mesh);
  const draw = (): void => {
    renderer.render(scene, camera);
  };
  return {
    show(form, picture) {
      mesh.geometry.dispose();
      material.map?.dispose();
      mesh.geometry = geometryOf(form);
      mesh.geometry.computeBoundingSphere();
      material.map = textureOf(picture);
      material.needsUpdate = true;
      const far = 2 * (mesh.geometry.boundingSphere?.radius ?? 1) * AWAY;
      camera.position.set(0, 0, far);
      lamp.position.set(0, 0, far);
      draw();
    },
    turn(across, upright) {
      mesh.rotation.x = Math.max(-Math.PI / 2, Math.min(Math.PI / 2, mesh.rotation.x + across));
      mesh.rotation.y += upright;
      draw();
    },
    async take() {
      draw();
      const blob = await new Promise<Blob | null>((done) => {
        canvas.toBlob(done, 'image/png');
      });
      return blob && new Uint8Array(await blob.arrayBuffer());
    },
    leave() {
      mesh.geometry.dispose();
      material.map?.dispose();
      material.dispose();
      renderer.dispose();
    },
  };
}
