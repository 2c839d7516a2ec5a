<?php

declare(strict_types=1);

namespace App\Console\Commands;

/** A file that a command writes: whole, or not at all. */
final readonly class OutFile
{
    /** @param string $says what was written, for standard output */
    public function __construct(
        private string $path,
        private string $content,
        public string $says,
    ) {}

    /** @throws OutFileNotWritable */
    public function write(): void
    {
        // Beside it, so that it is put in its place in one go.
        $beside = @tempnam(dirname($this->path), '.seam');
        if (is_dir($this->path) || $beside === false || realpath(dirname($beside)) !== realpath(dirname($this->path))) {
            if ($beside !== false) {
                @unlink($beside);
            }
            throw OutFileNotWritable::at($this->path);
        }
        if (@file_put_contents($beside, $this->content) !== strlen($this->content) || ! @rename($beside, $this->path)) {
            @unlink($beside);
            throw OutFileNotWritable::at($this->path);
        }
        @chmod($this->path, 0o666 & ~umask());
    }
}
