<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

/** Which seams a rule of pressing speaks of. */
enum RuleSubject: string
{
    case Rows = 'rows';
    case Columns = 'columns';
    case Last = 'last';
    case Units = 'units';
    case Cell = 'cell';

    /** Whether it takes a word for each band in turn. */
    public function goesByBands(): bool
    {
        return $this === self::Rows || $this === self::Columns;
    }

    /** Whether it says what it is about before the colon. */
    public function namesWhat(): bool
    {
        return $this === self::Units || $this === self::Cell;
    }

    /** @return list<RuleWord> the words it knows */
    public function words(): array
    {
        return match ($this) {
            self::Rows, self::Columns => [...self::sides(), RuleWord::Open, RuleWord::Dark, RuleWord::Light, RuleWord::Free],
            self::Last => [...self::sides(), RuleWord::Open, RuleWord::Dark, RuleWord::Light],
            self::Units, self::Cell => [RuleWord::Open, RuleWord::Dark, RuleWord::Light],
        };
    }

    /** @return list<RuleWord> */
    private static function sides(): array
    {
        return [RuleWord::Left, RuleWord::Right, RuleWord::Up, RuleWord::Down, RuleWord::Out, RuleWord::In];
    }
}
