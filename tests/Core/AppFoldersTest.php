<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;

/** The folders of app/ know each other one way only. */
final class AppFoldersTest extends TestCase
{
    public function test_no_two_folders_of_the_application_use_each_other(): void
    {
        $uses = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(dirname(__DIR__, 2).'/app', \FilesystemIterator::SKIP_DOTS)) as $file) {
            if (! $file instanceof \SplFileInfo || $file->getExtension() !== 'php') {
                continue;
            }
            $text = (string) file_get_contents($file->getPathname());
            preg_match('~^namespace App\\\\(\w+)~m', $text, $own);
            preg_match_all('~^use App\\\\(\w+)\\\\~m', $text, $used);
            foreach ($used[1] as $folder) {
                if ($folder !== $own[1]) {
                    $uses[$own[1]][$folder][] = $file->getFilename();
                }
            }
        }
        // From where one starts, every folder that can be reached must not lead back.
        $circles = [];
        foreach (array_keys($uses) as $start) {
            $reached = [];
            $look = array_keys($uses[$start]);
            while ($look !== []) {
                $folder = array_pop($look);
                if (! isset($reached[$folder])) {
                    $reached[$folder] = true;
                    array_push($look, ...array_keys($uses[$folder] ?? []));
                }
            }
            if (isset($reached[$start])) {
                $circles[$start] = array_map(static fn (array $files): string => implode(', ', array_unique($files)), $uses[$start]);
            }
        }
        self::assertNotSame([], $uses);
        self::assertSame([], $circles);
    }
}
