<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;

/** What is installed is what was tested, indirect packages too. */
final class InstalledPackagesTest extends TestCase
{
    public function test_every_package_has_the_version_of_the_list(): void
    {
        $root = dirname(__DIR__, 2);
        $installed = json_decode((string) file_get_contents($root.'/vendor/composer/installed.json'), true, 512, JSON_THROW_ON_ERROR);
        $lines = array_map(static fn (array $package): string => $package['name'].' '.$package['version'], $installed['packages']);
        sort($lines);

        self::assertSame(file($root.'/composer.versions', FILE_IGNORE_NEW_LINES), $lines);
        self::assertDoesNotMatchRegularExpression('~://|\.(?:org|com|io)\b~', (string) file_get_contents($root.'/composer.versions'));
    }
}
