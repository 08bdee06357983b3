import { about } from './log';
import { send } from './send';
import { addPhoto, photos } from './store';

const MOST_BYTES = 15 * 1024 * 1024;

/** As many pixels on the longer side as a cut can be told by. */
const PIXELS = 1600;

const QUALITY = 0.8;

/** Keeps a picture, made small; says what is wrong with it, or '' where it is kept. */
async function keep(file, photo) {
    if (file.size > MOST_BYTES) return 'That picture is over 15 MB and was not kept. The log is as it was.';
    let picture;
    try {
        picture = await createImageBitmap(file);
    } catch {
        return 'That is no picture and was not kept. The log is as it was.';
    }
    const scale = Math.min(1, PIXELS / Math.max(picture.width, picture.height));
    const canvas = document.createElement('canvas');
    canvas.width = Math.max(1, Math.round(picture.width * scale));
    canvas.height = Math.max(1, Math.round(picture.height * scale));
    canvas.getContext('2d').drawImage(picture, 0, 0, canvas.width, canvas.height);
    const blob = await new Promise(done => canvas.toBlob(done, 'image/jpeg', QUALITY));
    try {
        await addPhoto({ ...photo, blob });
    } catch {
        return 'This phone has no room for the picture. The log is as it was.';
    }
    return '';
}

/** Pictures of one plant on this phone. */
export const pictures = task => ({
    kept: [],
    wrong: '',
    init() {
        this.look = () => this.paint();
        document.addEventListener('words', this.look);
        this.paint();
    },
    destroy() {
        document.removeEventListener('words', this.look);
    },
    async picture(event) {
        const [file] = event.target.files;
        const { moment } = event.target.dataset;
        event.target.value = '';
        if (!file) return;
        const { by, name, label } = about(this.$root);
        this.wrong = await keep(file, { task, moment, by, name, label });
        send();
    },
    async paint() {
        const mine = (await photos()).filter(photo => photo.task === task && !photo.locked);
        this.kept.forEach(each => URL.revokeObjectURL(each.url));
        this.kept = mine.map(photo => ({
            id: photo.id, url: URL.createObjectURL(photo.blob),
            says: `${photo.moment} the work, ${
                photo.state === 'refused' ? `not taken: ${photo.because}` : 'saved on this phone'}`,
        }));
    },
});
