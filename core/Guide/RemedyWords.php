<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Matching\Remedy;

/** The least work that lets everything be eased, in a sentence. */
final class RemedyWords
{
    /**
     * @param list<SeamName> $names by join id
     *
     * @return string '' when nothing needs it
     */
    public static function of(Remedy $remedy, array $names): string
    {
        if ($remedy->before === 0) {
            return '';
        }
        $deeds = array_map(static fn (array $deed): string => match ($deed['do']) {
            'trim' => 'trim '.$names[$deed['join']]->made,
            'remake' => 'unpick '.$names[$deed['join']]->made.' and sew it narrower, or make it again',
            default => 'unpick the seam of '.lcfirst($names[$deed['join']]->title).' and sew it at the right width',
        }, $remedy->deeds);

        return match (true) {
            $deeds === [] => sprintf('%d joins miss by more than can be eased, and no one or two deeds mend that: change the guide before you go on.', $remedy->before),
            $remedy->isEnough => ucfirst(implode(' and ', $deeds)).'; then everything can be eased.',
            default => sprintf('%s; %d of %d joins are still off by more than can be eased.', ucfirst(implode(' and ', $deeds)), $remedy->after, $remedy->before),
        };
    }
}
