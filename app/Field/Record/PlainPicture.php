<?php

declare(strict_types=1);

namespace App\Field\Record;

use GdImage;
use Illuminate\Validation\ValidationException;

/**
 * A picture re-encoded from its pixels, without metadata or anything appended to the file. It is rotated as the camera
 * was held, and scaled down.
 */
final readonly class PlainPicture
{
    private const TYPES = [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP];

    /** Pixels; larger pictures are refused before they are decoded. */
    private const MOST_POINTS = 50_000_000;

    /** Pixels on the longer side of what is stored. */
    private const KEPT = 2048;

    private const QUALITY = 82;

    /** By EXIF orientation: degrees counterclockwise, and a flip afterwards. */
    private const TURNS = [
        2 => [0, IMG_FLIP_HORIZONTAL], 3 => [180, null], 4 => [0, IMG_FLIP_VERTICAL],
        5 => [270, IMG_FLIP_HORIZONTAL], 6 => [270, null], 7 => [90, IMG_FLIP_HORIZONTAL], 8 => [90, null],
    ];

    private function __construct(public string $jpeg, public int $width, public int $height)
    {
    }

    /**
     * @param  int  $most  pixels on the longer side
     *
     * @throws ValidationException where the file is no picture, or too large a one
     */
    public static function of(string $path, int $most = self::KEPT): self
    {
        // It warns of what is no picture, and says so by its answer as well.
        $size = @getimagesize($path);
        if ($size === false || ! in_array($size[2], self::TYPES, true)) {
            throw self::refused('That is no picture.');
        }
        if ($size[0] * $size[1] > self::MOST_POINTS) {
            throw self::refused(sprintf(
                'The picture is too large: %d megapixels. The limit is %d.',
                (int) ceil($size[0] * $size[1] / 1e6), self::MOST_POINTS / 1e6,
            ));
        }
        $read = @imagecreatefromstring((string) file_get_contents($path));
        if ($read === false) {
            throw self::refused('That is no picture.');
        }
        $drawn = self::turned(self::drawn($read, $most), self::orientation($path, $size[2]));
        ob_start();
        imagejpeg($drawn, null, self::QUALITY);

        return new self((string) ob_get_clean(), imagesx($drawn), imagesy($drawn));
    }

    /** Transparent parts become white. */
    private static function drawn(GdImage $read, int $most): GdImage
    {
        [$width, $height] = [imagesx($read), imagesy($read)];
        $scale = min(1.0, $most / max($width, $height));
        [$keptWidth, $keptHeight] = [max(1, (int) round($width * $scale)), max(1, (int) round($height * $scale))];
        $drawn = imagecreatetruecolor($keptWidth, $keptHeight);
        imagefill($drawn, 0, 0, 0xFFFFFF);
        imagecopyresampled($drawn, $read, 0, 0, 0, 0, $keptWidth, $keptHeight, $width, $height);

        return $drawn;
    }

    private static function orientation(string $path, int $type): int
    {
        // Broken metadata does not make the picture unusable.
        $notes = $type === IMAGETYPE_JPEG ? @exif_read_data($path) : false;
        $said = is_array($notes) ? $notes['Orientation'] ?? 1 : 1;

        return is_int($said) ? $said : 1;
    }

    private static function turned(GdImage $drawn, int $orientation): GdImage
    {
        [$degrees, $flip] = self::TURNS[$orientation] ?? [0, null];
        $turned = $degrees === 0 ? $drawn : imagerotate($drawn, $degrees, 0xFFFFFF);
        $turned = $turned === false ? $drawn : $turned;
        if ($flip !== null) {
            imageflip($turned, $flip);
        }

        return $turned;
    }

    private static function refused(string $why): ValidationException
    {
        return ValidationException::withMessages(['photo' => $why]);
    }
}
