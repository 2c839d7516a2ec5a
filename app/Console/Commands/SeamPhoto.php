<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\BlockFiles\FileNotReadable;
use App\Documents\PhotoDocument;
use App\Photo\PhotoFile;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Making\FilePlan;
use KeenSeam\Core\Photo\PhotoNotReadable;
use KeenSeam\Core\Photo\PhotoReader;
use KeenSeam\Core\Top\Top;

final class SeamPhoto extends SeamCommand
{
    protected $signature = 'seam:photo
        {file : a block file, *.keenseam.json}
        {photo : the photograph of the block as it is laid out: JPEG, PNG or WebP}
        {--corners= : the four outermost raw corners in pixels, upper left first, clockwise: "x,y x,y x,y x,y"; found by themselves if not given}';

    protected $description = 'Look on a photograph whether a block is laid out as it is drawn, and print as JSON what lies otherwise.';

    protected function answer(Block $block, FilePlan $kept): array
    {
        $path = $this->argument('photo');
        $bytes = is_file($path) ? @file_get_contents($path) : false;
        $file = PhotoFile::from($bytes === false ? throw FileNotReadable::missing($path) : $bytes);

        return PhotoDocument::of(PhotoReader::read(Face::of($block), $file->photo, $this->corners($file->scale)), $file->scale);
    }

    protected function answerTop(Top $top): array
    {
        throw PhotoNotReadable::onlyBlocks();
    }

    /** @return list<array{float, float}>|null on the picture that is looked at */
    private function corners(float $scale): ?array
    {
        $given = $this->option('corners');
        if (! is_string($given)) {
            return null;
        }
        $number = '(-?\d+(?:\.\d+)?)';
        if (preg_match(sprintf('~^\s*%1$s\s*,\s*%1$s\s+%1$s\s*,\s*%1$s\s+%1$s\s*,\s*%1$s\s+%1$s\s*,\s*%1$s\s*$~D', $number), $given, $parts) !== 1) {
            throw OptionNotKnown::pair('corners', $given, '"10,12 900,15 890,880 14,870"');
        }

        return array_map(static fn (int $i): array => [(float) $parts[2 * $i + 1] / $scale, (float) $parts[2 * $i + 2] / $scale], [0, 1, 2, 3]);
    }
}
