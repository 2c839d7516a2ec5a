<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

/** What has to be done at a mark. */
enum MarkKind: string
{
    case Match = 'match';
    case Tip = 'tip';
    case Floating = 'floating';

    public static function where(MarkSide $left, MarkSide $right): self
    {
        return match (true) {
            $left !== MarkSide::Plain && $right !== MarkSide::Plain => self::Match,
            $left === MarkSide::Tip || $right === MarkSide::Tip => self::Tip,
            default => self::Floating,
        };
    }
}
