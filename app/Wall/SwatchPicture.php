<?php

declare(strict_types=1);

namespace App\Wall;

use Intervention\Image\Exceptions\RuntimeException;
use Intervention\Image\ImageManager;

/** A picture of a cloth, looked over and made anew from its pixels: nothing else the file carried stays. */
final readonly class SwatchPicture
{
    public const MOST_BYTES = 5 * 1024 * 1024;

    private const MOST_PIXELS = 6000;

    private const SIDE = 240;

    private const QUALITY = 82;

    private function __construct(
        public string $jpeg,
        public string $color,
    ) {}

    /** @throws SwatchNotUsable */
    public static function from(string $bytes): self
    {
        if (strlen($bytes) > self::MOST_BYTES) {
            throw SwatchNotUsable::tooLarge(intdiv(self::MOST_BYTES, 1024 * 1024));
        }
        // The size stands in the first bytes; a picture that would fill the memory is refused before it is unpacked.
        $size = @getimagesizefromstring($bytes);
        if ($size === false || ! in_array($size[2], [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP], true)) {
            throw SwatchNotUsable::noPicture();
        }
        if (max($size[0], $size[1]) > self::MOST_PIXELS) {
            throw SwatchNotUsable::tooManyPixels($size[0], $size[1], self::MOST_PIXELS);
        }
        try {
            $picture = ImageManager::gd()->read($bytes)->cover(self::SIDE, self::SIDE);
            $jpeg = $picture->toJpeg(self::QUALITY)->toString();
            $color = $picture->resize(1, 1)->pickColor(0, 0)->toHex();
        } catch (RuntimeException) {
            throw SwatchNotUsable::noPicture();
        }

        return new self($jpeg, '#'.substr($color, 0, 6));
    }
}
