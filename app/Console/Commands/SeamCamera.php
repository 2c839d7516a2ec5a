<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Photo\Camera;
use App\Photo\Planted;
use App\Photo\Shot;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Making\FilePlan;
use KeenSeam\Core\Photo\PhotoNotReadable;
use KeenSeam\Core\Top\Top;

final class SeamCamera extends SeamCommand
{
    protected $signature = 'seam:camera
        {file : a block file, *.keenseam.json}
        {out : the photograph to write, *.png or *.jpg}
        {--wrong=* : a unit that lies wrong: "2,3:90" turned once more, "2,3:90m" mirrored too, "2,3:plain" another unit}
        {--seed=1 : photographs of one seed are the same}
        {--tilt= : of the camera, in degrees; up to 20 from the seed}
        {--light= : on the brightest side beside the darkest; up to 2 from the seed}
        {--jitter= : of units, in degrees, with 1/24 in of shift to each; up to 3 from the seed}';

    protected $description = 'Draw the photograph of a block that is laid out: the stand-in for a camera.';

    protected function answer(Block $block, FilePlan $kept): OutFile
    {
        $face = Face::of($block);
        $planted = Planted::read(array_values(array_filter((array) $this->option('wrong'), is_string(...))), $face);
        $shot = new Shot($this->whole('seed', $this->option('seed')), $this->amount('tilt'), $this->amount('light'), $this->amount('jitter'));
        [$image, $corners] = Camera::take($face, $planted->faces, $shot);
        $out = $this->argument('out');
        ob_start();
        preg_match('~\.jpe?g$~i', $out) === 1 ? imagejpeg($image, null, 88) : imagepng($image);

        return new OutFile($out, (string) ob_get_clean(), json_encode([
            'format' => 'keen-seam/camera',
            'version' => 1,
            'seed' => $shot->seed,
            'corners' => array_map(static fn (array $corner): array => [round($corner[0], 2), round($corner[1], 2)], $corners),
            'tilt' => round($shot->tilt, 2),
            'light' => round($shot->light, 2),
            'jitter' => round($shot->jitter, 2),
            'wrong' => $planted->told,
        ], JSON_THROW_ON_ERROR));
    }

    protected function answerTop(Top $top): OutFile
    {
        throw PhotoNotReadable::onlyBlocks();
    }
}
