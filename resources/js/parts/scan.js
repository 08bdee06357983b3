import Alpine from '@alpinejs/csp';

/** Reads a label with the camera where the browser can; where it cannot, the number is typed. */
const scan = () => ({
    can: 'BarcodeDetector' in window && Boolean(navigator.mediaDevices?.getUserMedia),
    open: false,
    says: '',
    stream: null,

    async begin() {
        this.says = '';
        try {
            this.stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } });
        } catch {
            this.says = 'The camera is not to be had. Type the number on the label.';
            return;
        }
        this.open = true;
        const video = this.$refs.video;
        video.srcObject = this.stream;
        await video.play();
        this.look(video, new window.BarcodeDetector({ formats: ['qr_code'] }));
    },

    async look(video, detector) {
        if (!this.open) return;
        const found = await detector.detect(video).catch(() => []);
        for (const { rawValue } of found) {
            // Only our own plants: a label may be anybody's.
            const plant = /\/plants\/(\d{1,18})$/.exec(rawValue);
            if (plant) {
                this.end();
                location.assign(`/plants/${plant[1]}`);
                return;
            }
            this.says = 'That is no label of ours.';
        }
        requestAnimationFrame(() => this.look(video, detector));
    },

    end() {
        this.open = false;
        this.stream?.getTracks().forEach(track => track.stop());
    },
});

Alpine.data('scan', scan);
