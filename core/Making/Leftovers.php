<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

/** What a way to make a unit leaves over, said as a quilter would. */
final class Leftovers
{
    /**
     * Beside the way's name, where ways are compared: "2 spare, bias edges"; '' where there is nothing to say.
     *
     * @param bool $isPossible whether this way gives the hand that is needed at all
     */
    public static function inShort(MadeUnit $made, bool $isPossible): string
    {
        if (! $isPossible) {
            return 'never gives the hand that is needed';
        }
        $wrong = $made->wrongHand();

        return implode(', ', array_filter([
            match (true) {
                $wrong > 0 && self::isOtherBuild($made->way) => "$wrong built the other way over",
                $wrong > 0 => "$wrong of the wrong hand over",
                $made->spare() > 0 => $made->spare().' spare',
                default => '',
            },
            $made->halfMade() > 0 ? $made->halfMade().' half made over' : '',
            $made->way->isOuterBias ? 'bias edges' : '',
        ]));
    }

    /** @return list<array{text: string, wants: 'care'|'work'|'nothing'}> of the way that is taken; wants: work where it has to be avoided or mended */
    public static function of(MadeUnit $made): array
    {
        $says = [];
        $wrong = $made->wrongHand();
        if ($wrong > 0) {
            $says[] = ['text' => match (true) {
                self::isOtherBuild($made->way) && $wrong === 1 => '1 is built the other way: it looks the same, and its seams lie otherwise.',
                self::isOtherBuild($made->way) => "$wrong are built the other way: they look the same, and their seams lie otherwise.",
                $wrong === 1 => '1 comes out in the wrong hand and is of no use in this block.',
                default => "$wrong come out in the wrong hand and are of no use in this block.",
            }, 'wants' => 'work'];
        } elseif ($made->spare() > 0) {
            $says[] = ['text' => sprintf('%d come out: %d spare.', $made->makes(), $made->spare()), 'wants' => 'care'];
        }
        if ($made->halfMade() > 0) {
            $says[] = ['text' => self::pairs($made->halfMade()).' half made and not needed.', 'wants' => 'care'];
        }

        return $says;
    }

    /**
     * What is left over of all units, and what their waste gives.
     *
     * @return list<string>
     */
    public static function ofAll(CuttingPlan $plan): array
    {
        $spare = array_filter($plan->units, static fn (MadeUnit $made): bool => $made->spare() > 0);
        $says = $spare === [] ? [] : ['Left over: '.implode(', ', array_map(static fn (MadeUnit $made): string => sprintf('%d %s (%s)', $made->spare(), $made->spare() === 1 ? $made->unit->name : $made->unit->plural, $made->unit->label), $spare)).'.'];
        foreach ($plan->units as $made) {
            if ($made->halfMade() > 0) {
                $says[] = sprintf('%s of %s half made and not needed.', self::pairs($made->halfMade()), $made->unit->label);
            }
        }
        $offcuts = $plan->offcuts();
        if ($offcuts !== null) {
            $says[] = sprintf('From the waste of %s, if it is sewn before it is cut off: %s, %s squared up to %s.', implode(', ', $offcuts['for']), $offcuts['count'] === 1 ? '1 small half-square triangle' : $offcuts['count'].' small half-square triangles', $offcuts['count'] === 1 ? 'to be' : 'all', $offcuts['size']->toText());
        }

        return $says;
    }

    private static function isOtherBuild(Way $way): bool
    {
        return $way->lookAlike > 0 && $way->mirror === 0;
    }

    private static function pairs(int $count): string
    {
        return $count === 1 ? '1 pair' : $count.' pairs';
    }
}
