<?php

declare(strict_types=1);

namespace App\Http;

use App\Exceptions\VersionNotGiven;
use Illuminate\Http\Request;

/** The version of a block the quilter has seen, told by the If-Match header, so that no save overwrites another unseen. */
final class SeenVersion
{
    /** @throws VersionNotGiven */
    public static function of(Request $request): int
    {
        $header = trim((string) $request->header('If-Match'), '" ');

        return preg_match('~^\d{1,9}$~D', $header) === 1 ? (int) $header : throw VersionNotGiven::inHeader();
    }
}
