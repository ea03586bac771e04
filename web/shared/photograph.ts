import { api } from '../api/client';

/** px of the longer side that a bench needs; the server keeps no more. */
const SIDE = 2000;
/** A picture of up to so many bytes and pixels goes as it is. */
const BYTES = 6_000_000;
const PIXELS = 12_000_000;
/** More than this no phone takes, and no browser should unpack. */
const MOST_PIXELS = 60_000_000;

/** A picture that cannot be sent, in words for a person. */
export class NoPicture extends Error {}

/**
 * Keeps a photograph and answers its hash. A large one is taken down here, before it is sent: upright, with nothing
 * of what the camera wrote into it.
 *
 * @throws NoPicture where it has more pixels than anybody needs
 */
export async function keepPhotograph(file: File): Promise<string> {
    return (await api.post<{ hash: string }>('photos', await takenDown(file))).hash;
}

export async function takenDown(file: File): Promise<Blob> {
    let picture: ImageBitmap;
    try {
        picture = await createImageBitmap(file);
    } catch {
        // What this browser cannot read the server may, or it says what is wrong with it.
        return file;
    }
    const { width, height } = picture;
    try {
        if (width * height > MOST_PIXELS) {
            throw new NoPicture(`${file.name} is ${width} by ${height} pixels: send one of up to 60 million.`);
        }
        if (file.size <= BYTES && width * height <= PIXELS) {
            return file;
        }
        const scale = Math.min(1, SIDE / Math.max(width, height));
        const sheet = document.createElement('canvas');
        sheet.width = Math.max(1, Math.round(width * scale));
        sheet.height = Math.max(1, Math.round(height * scale));
        const pen = sheet.getContext('2d');
        if (pen === null) {
            return file;
        }
        pen.imageSmoothingQuality = 'high';
        pen.fillStyle = '#ffffff';
        pen.fillRect(0, 0, sheet.width, sheet.height);
        pen.drawImage(picture, 0, 0, sheet.width, sheet.height);

        return await new Promise<Blob>((done) => sheet.toBlob((blob) => done(blob ?? file), 'image/jpeg', 0.92));
    } finally {
        picture.close();
    }
}
