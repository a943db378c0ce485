import { beforeEach, describe, expect, it, vi } from 'vitest';

import { of, OFF, refusal, server } from '../test/server';
import { cameraOf, dropHeap, droppedFile, forgetHeap, hashOf, heapGoing, leaveThere } from './heap';

const HERE = 'w1';
const KNOWN = 'POST /api/workspaces/w1/heap/known';
const nothing = { body: { files: [] } };
const clip = (name: string, content: string) =>
  new File([content], name, { type: 'video/mp4', lastModified: 1772460000000 });

beforeEach(() => {
  vi.unstubAllGlobals();
  vi.stubGlobal('window', { addEventListener: vi.fn(), removeEventListener: vi.fn() });
  forgetHeap();
});

describe('a heap on its way', () => {
  it('knows a file by its SHA-256, read piece by piece', async () => {
    // FIPS 180-2, appendix B.1 and B.3.
    expect(await hashOf(new Blob(['abc']))).toBe('ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad');
    expect(await hashOf(new Blob(['a'.repeat(1_000_000)]))).toBe(
      'cdc76e5c9914fb9281a1c7e284d73e67f1809a48a497200e046d39ccc7112cd0',
    );
  });

  it('takes what is called alike for one camera', () => {
    expect(cameraOf('HX00012.MP4')).toBe('camera HX');
    expect(cameraOf('IMG_2031.jpg')).toBe('camera IMG');
    expect(cameraOf('20261126_101112.jpg')).toBe('unnamed camera');
  });

  it('sends each once, and says what was not taken; the rest is kept', async () => {
    const sent = server({
      [KNOWN]: [nothing, { body: { files: [{ sha256: 'x', where: 'build E, Drop, run 14' }] } }, nothing],
      'POST /api/heapfiles/': [
        { status: 201 },
        refusal(415, 'wrong-kind', 'This is not a file that Lustrum can take.'),
      ],
    });
    await dropHeap(HERE, [clip('G1.mp4', 'one')]);
    await dropHeap(HERE, [clip('G2.mp4', 'two')]);
    expect(heapGoing()).toMatchObject({ doubles: [{ name: 'G2.mp4', why: 'build E, Drop, run 14' }] });
    await dropHeap(HERE, [clip('letter.mp4', 'three'), clip('none.mp4', ''), clip('letter again.mp4', 'three')]);
    expect(of(sent, 'POST', '/api/heapfiles/')).toHaveLength(2);
    expect(heapGoing()).toMatchObject({ all: 3, done: 3, sent: 0, doubles: [{ why: 'dropped twice' }] });
    expect(
      heapGoing()
        ?.refused.map((r) => r.why)
        .sort(),
    ).toEqual(['It is empty.', 'This is not a file that Lustrum can take.']);
  });

  it('takes five hundred with doubles and strangers among them, each once', async () => {
    const sent = server({
      [KNOWN]: nothing,
      // The first two are no files of a known kind.
      'POST /api/heapfiles/': [refusal(415, 'wrong-kind', 'No.'), refusal(415, 'wrong-kind', 'No.'), { status: 201 }],
    });
    const files = Array.from({ length: 500 }, (_, i) =>
      clip(`HX${i}.mp4`, i % 50 === 49 ? '' : i % 25 === 24 ? 'the same' : `clip ${i}`),
    );
    await dropHeap(HERE, files);
    // Ten are empty; of ten that are the same one is sent.
    expect(heapGoing()).toMatchObject({ all: 500, done: 500, sent: 479 });
    expect(heapGoing()?.doubles).toHaveLength(9);
    expect(heapGoing()?.refused).toHaveLength(12);
    expect(of(sent, 'POST', '/api/heapfiles/')).toHaveLength(481);
  });

  it('goes on by itself when somebody is reached again', async () => {
    vi.useFakeTimers();
    server({ [KNOWN]: [OFF, nothing], 'POST /api/heapfiles/': { status: 201 } });
    const going = dropHeap(HERE, [clip('G3.mp4', 'four')]);
    await vi.waitFor(() => expect(heapGoing()?.waits).toBe(true));
    await vi.advanceTimersByTimeAsync(5000);
    await going;
    vi.useRealTimers();
    expect(heapGoing()).toMatchObject({ sent: 1, waits: false });
  });

  it('leaves a clip of four gigabytes where it lies, by its hash, and plays it when it is dropped again', async () => {
    const hash = 'ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad';
    const sent = server({
      [KNOWN]: [nothing, { body: { files: [{ sha256: hash, where: 'in the heap' }] } }],
      'PUT /api/heapfiles/': { status: 201 },
    });
    const large = clip('G4.mp4', 'abc');
    Object.defineProperty(large, 'size', { value: 4_000_000_000 });
    await dropHeap(HERE, [large]);
    expect(heapGoing()?.large.map((d) => d.file.name)).toEqual(['G4.mp4']);
    expect(of(sent, 'POST', '/api/heapfiles/'), 'Nothing of it is sent.').toEqual([]);

    const player = {
      preload: '',
      src: '',
      duration: 12.5,
      onloadedmetadata: null as null | (() => void),
      onerror: null,
    };
    vi.stubGlobal('document', { createElement: () => player });
    vi.stubGlobal('URL', Object.assign(URL, { createObjectURL: () => 'blob:x', revokeObjectURL: vi.fn() }));
    setTimeout(() => player.onloadedmetadata?.(), 50);
    await leaveThere(HERE, heapGoing()!.large[0]!, 'card 3');
    expect(of(sent, 'PUT', '/api/heapfiles/')[0]!.body).toMatchObject({
      lies: 'card 3',
      sha256: hash,
      seconds: 12.5,
      camera: 'camera G',
    });
    expect(heapGoing()?.large).toEqual([]);

    // On another day it is known, and not asked for again.
    await dropHeap(HERE, [large]);
    expect(heapGoing()).toMatchObject({ large: [], doubles: [{ name: 'G4.mp4', why: 'in the heap' }] });
    expect(droppedFile(hash)?.name).toBe('G4.mp4');
  });
});
