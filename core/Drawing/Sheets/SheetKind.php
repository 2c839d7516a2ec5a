<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing\Sheets;

/** What is printed of a block or a top, in the order of the work. */
enum SheetKind: string
{
    case Cut = 'cut';
    case Templates = 'templates';
    case Order = 'order';
    case Press = 'press';
    case Joins = 'joins';
    case Steps = 'steps';

    /** Its outlines, to be coloured by hand; only where it is asked for. */
    case Colouring = 'colouring';

    /** @return non-empty-list<self> what is printed where nothing else is said */
    public static function usual(): array
    {
        return [self::Cut, self::Templates, self::Order, self::Press, self::Joins, self::Steps];
    }

    /** Whether it tells how something is sewn and pressed, and so wants the plan. */
    public function isOfThePlan(): bool
    {
        return ! in_array($this, [self::Cut, self::Templates, self::Colouring], true);
    }
}
