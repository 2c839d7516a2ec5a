<?php

declare(strict_types=1);

namespace App\Workings;

/** Keeps the folder of kept parts small: they are worked out again when they are asked for. */
final class Sweeping
{
    private const MOST_BYTES = 500 * 1024 * 1024;

    /** Files are taken away, the longest not written first, until the folder is no larger than it may be. */
    public static function folder(string $folder, int $mostBytes = self::MOST_BYTES): void
    {
        if (! is_dir($folder)) {
            return;
        }
        [$files, $all] = [[], 0];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS)) as $file) {
            if ($file instanceof \SplFileInfo && $file->isFile() && $file->getFilename()[0] !== '.') {
                $files[$file->getPathname()] = [$file->getMTime(), $file->getSize()];
                $all += $file->getSize();
            }
        }
        asort($files);
        foreach ($files as $path => [, $size]) {
            if ($all <= $mostBytes) {
                return;
            }
            @unlink($path);
            $all -= $size;
        }
    }
}
