/** The longer side of a photo that is sent, in pixels: enough to read a casting mark by. */
const LONGER = 2000;
const QUALITY = 0.82;

/**
 * A camera's photo, upright and smaller, as a JPEG without metadata; draw: marks it, in px of the photo as it was taken.
 * Rejects anything that is not a picture.
 */
export async function shrunk(file: Blob, draw?: (context: CanvasRenderingContext2D) => void): Promise<Blob> {
  const seen = await createImageBitmap(file, { imageOrientation: "from-image" });
  const scale = Math.min(1, LONGER / Math.max(seen.width, seen.height));
  const canvas = document.createElement("canvas");
  [canvas.width, canvas.height] = [seen.width, seen.height].map((side) => Math.max(1, Math.round(side * scale))) as [
    number,
    number,
  ];
  const context = canvas.getContext("2d")!;
  context.drawImage(seen, 0, 0, canvas.width, canvas.height);
  seen.close();
  context.scale(scale, scale);
  draw?.(context);
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error("no picture"))), "image/jpeg", QUALITY),
  );
}
