<?php

declare(strict_types=1);

namespace App\Record;

use GdImage;
use Illuminate\Validation\ValidationException;

/**
 * A picture drawn anew from its points: what else came with it, the place it was taken at or a program behind its end,
 * stays behind. It is turned as it was held, and no larger than a cut can be told by.
 */
final readonly class PlainPicture
{
    private const TYPES = [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP];

    /** More than any phone in a pocket takes; what is said to be larger is not unpacked. */
    private const MOST_POINTS = 50_000_000;

    /** Points on the longer side of what is kept. */
    private const KEPT = 2048;

    private const QUALITY = 82;

    /** What an EXIF orientation asks for: a turn to the left in degrees, and a flip after it. */
    private const TURNS = [
        2 => [0, IMG_FLIP_HORIZONTAL], 3 => [180, null], 4 => [0, IMG_FLIP_VERTICAL],
        5 => [270, IMG_FLIP_HORIZONTAL], 6 => [270, null], 7 => [90, IMG_FLIP_HORIZONTAL], 8 => [90, null],
    ];

    private function __construct(public string $jpeg, public int $width, public int $height)
    {
    }

    /**
     * @param  int  $most  points on the longer side
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

    /** On white, where it is seen through. */
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
        // What is wrong with the notes beside a picture is no fault of the picture.
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
