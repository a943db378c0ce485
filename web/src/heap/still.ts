/** The picture that a clip shows just now, as a file; null where this browser cannot tell. */
export function stillOf(video: HTMLVideoElement, name: string): Promise<File | null> {
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [video.videoWidth, video.videoHeight];
  canvas.getContext('2d')?.drawImage(video, 0, 0);
  return new Promise((resolve) =>
    canvas.toBlob(
      (blob) => resolve(blob === null ? null : new File([blob], name, { type: 'image/jpeg' })),
      'image/jpeg',
    ),
  );
}
