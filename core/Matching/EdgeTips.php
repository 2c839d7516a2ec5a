<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Geometry\Point;

/** Tips at the outer edge of a block. They end one allowance inside the raw edge, and that is right: the next seam is there. */
final class EdgeTips
{
    /** @return list<Point> where a patch touches the block's edge with a tip only, each place once */
    public static function on(Face $face): array
    {
        $found = [];
        foreach ($face->patches as $patch) {
            foreach ($face->outline()->edges() as [$a, $b]) {
                $side = $b->minus($a);
                $isOn = static fn (Point $point): bool => $side->cross($point->minus($a)) === 0;
                $touching = array_values(array_filter($patch->outline->points, $isOn));
                $isInside = count($touching) === 1 && ! $touching[0]->equals($a) && ! $touching[0]->equals($b);
                if ($isInside) {
                    $found[$touching[0]->key()] = $touching[0];
                }
            }
        }

        return array_values($found);
    }
}
