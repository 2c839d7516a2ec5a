<?php

declare(strict_types=1);

namespace App\Photo;

use Intervention\Image\Exceptions\RuntimeException;
use Intervention\Image\ImageManager;
use KeenSeam\Core\Photo\Photograph;
use KeenSeam\Core\Photo\PhotoNotReadable;

/** A photograph out of a file: turned upright, as small as it serves, and nothing else that the file carried. */
final readonly class PhotoFile
{
    /** Millions of pixels. */
    private const MOST_PIXELS = 40;

    /** Pixels of the longer side that are looked at. */
    private const LONGER = 1400;

    private const LEAST = 200;

    private const QUALITY = 84;

    private function __construct(
        public Photograph $photo,
        public string $jpeg,
        public int $width,
        public int $height,
        public float $scale,
    ) {}

    /** @throws PhotoNotReadable */
    public static function from(string $bytes): self
    {
        // The size stands in the first bytes; a picture that would fill the memory is refused before it is unpacked.
        $size = @getimagesizefromstring($bytes);
        if ($size === false || ! in_array($size[2], [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP], true)) {
            throw PhotoNotReadable::noPicture();
        }
        if ($size[0] * $size[1] > self::MOST_PIXELS * 1_000_000) {
            throw PhotoNotReadable::tooManyPixels($size[0], $size[1], self::MOST_PIXELS);
        }
        if (min($size[0], $size[1]) < self::LEAST) {
            throw PhotoNotReadable::tooSmall($size[0], $size[1], self::LEAST);
        }
        try {
            $image = ImageManager::gd()->read($bytes);
            [$width, $height] = [$image->width(), $image->height()];
            $image->scaleDown(self::LONGER, self::LONGER);
            $gd = $image->core()->native();
            $jpeg = $image->toJpeg(self::QUALITY)->toString();
        } catch (RuntimeException) {
            throw PhotoNotReadable::noPicture();
        }
        if (! $gd instanceof \GdImage) {
            throw PhotoNotReadable::noPicture();
        }

        return new self(self::pixels($gd), $jpeg, $width, $height, $width / imagesx($gd));
    }

    /** The image is of no use any more after it. */
    public static function pixels(\GdImage $image): Photograph
    {
        imageflip($image, IMG_FLIP_HORIZONTAL);
        ob_start();
        imagebmp($image, null, false);
        $bmp = (string) ob_get_clean();
        // Uncompressed rows from the lowest up, blue first, each filled up to four bytes (BITMAPINFOHEADER).
        $head = unpack('Voffset/Vsize/Vwidth/Vheight/vplanes/vbits', substr($bmp, 10, 20));
        if ($head === false || $head['bits'] !== 24) {
            throw PhotoNotReadable::noPicture();
        }
        [$width, $height] = [imagesx($image), imagesy($image)];
        $stride = 4 * (int) ceil(3 * $width / 4);
        $rgb = '';
        for ($row = $height - 1; $row >= 0; --$row) {
            // Reversed, red comes first; and the picture was flipped before.
            $rgb .= strrev(substr($bmp, $head['offset'] + $row * $stride, 3 * $width));
        }

        return new Photograph($width, $height, $rgb);
    }
}
