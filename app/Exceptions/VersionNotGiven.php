<?php

declare(strict_types=1);

namespace App\Exceptions;

use KeenSeam\Core\KeenSeamProblem;

final class VersionNotGiven extends \InvalidArgumentException implements KeenSeamProblem
{
    public static function inHeader(): self
    {
        return new self('The change does not say which version of the block it belongs to. Send the version in the If-Match header.');
    }

    public function problemCode(): string
    {
        return 'version-not-given';
    }

    public function where(): string
    {
        return '';
    }
}
