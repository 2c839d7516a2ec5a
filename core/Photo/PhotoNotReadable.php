<?php

declare(strict_types=1);

namespace KeenSeam\Core\Photo;

use KeenSeam\Core\KeenSeamProblem;

/** A photograph from which nothing can be told. */
final class PhotoNotReadable extends \InvalidArgumentException implements KeenSeamProblem
{
    private function __construct(string $message, private readonly string $code_ = 'photo-not-readable')
    {
        parent::__construct($message);
    }

    public static function noPicture(): self
    {
        return new self('This is no photograph that can be read. Choose a JPEG, PNG or WebP picture.');
    }

    public static function tooManyPixels(int $width, int $height, int $most): self
    {
        return new self(sprintf('The picture has %d x %d pixels; at most %d million can be looked at. Make it smaller.', $width, $height, $most));
    }

    public static function tooSmall(int $width, int $height, int $least): self
    {
        return new self(sprintf('The picture has only %d x %d pixels; at least %d each way are needed to tell units apart.', $width, $height, $least));
    }

    public static function corners(): self
    {
        return new self('These four corners make no block: they lie on a line, or not in the order upper left, upper right, lower right, lower left. Put one on each corner.', 'photo-corners');
    }

    public static function cornersNotFound(): self
    {
        return new self('The corners of the block cannot be found by themselves. Put a finger on each of the four.', 'photo-corners-wanted');
    }

    public static function otherBlock(string $name): self
    {
        return new self(sprintf('What is laid out here does not look like %s. Choose another picture, or put the four corners where they are.', $name), 'photo-other-block');
    }

    public static function noneHere(): self
    {
        return new self('There is no photograph of this block. Take one first.', 'photo-none');
    }

    public static function noLesson(): self
    {
        return new self('There is nothing to guess on this picture. Try one that is made up.', 'photo-no-lesson');
    }

    public static function onlyBlocks(): self
    {
        return new self('Photographs are looked at block by block. Choose a block file.');
    }

    public function problemCode(): string
    {
        return $this->code_;
    }

    public function where(): string
    {
        return '';
    }
}
