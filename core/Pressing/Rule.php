<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\KnownShape;
use KeenSeam\Core\Block\FlippedCornersUnit;
use KeenSeam\Core\Block\GridUnit;
use KeenSeam\Core\Block\PatchesUnit;
use KeenSeam\Core\Block\UnitPatterns;

/** Pressing as quilters say it: "rows: out in out", "units flying-geese: away from B", "cell 2,2: open". */
final readonly class Rule
{
    private const LONGEST = 200;

    /**
     * @param string         $of     a kind of unit, or row and column like "2,1"; empty where the subject says it all
     * @param list<RuleWord> $words  one, or one a band; none where it goes by a fabric
     * @param string|null    $fabric key or name
     * @param bool           $away   from the fabric rather than toward it
     */
    private function __construct(
        public RuleSubject $subject,
        public string $of,
        public array $words,
        public ?string $fabric,
        public bool $away,
    ) {}

    /** @throws RuleNotPossible */
    public static function parse(string $text): self
    {
        $text = trim($text);
        if (strlen($text) > self::LONGEST || preg_match('~^([a-z]+)\s*([^:]*?)\s*:\s*(.+)$~Dsu', $text, $part) !== 1) {
            throw RuleNotPossible::notReadable($text);
        }
        [, $subject, $of, $way] = $part;
        $subject = RuleSubject::tryFrom($subject) ?? throw RuleNotPossible::notReadable($text);
        if ($subject->namesWhat() === ($of === '')) {
            throw RuleNotPossible::notReadable($text);
        }
        if ($subject === RuleSubject::Units && ! in_array($of, self::kinds(), true)) {
            throw RuleNotPossible::unknownKind($of, self::kinds());
        }
        if ($subject === RuleSubject::Cell) {
            $of = preg_match('~^(\d{1,4})\s*,\s*(\d{1,4})$~D', $of, $cell) === 1 ? (int) $cell[1].','.(int) $cell[2] : throw RuleNotPossible::notReadable($text);
        }
        if (preg_match('~^(toward|away from)\s+(.+)$~Ds', $way, $toward) === 1) {
            return new self($subject, $of, [], trim($toward[2]), $toward[1] === 'away from');
        }
        $words = array_map(
            static fn (string $word): RuleWord => self::wordOf($subject, $word) ?? throw RuleNotPossible::unknownWord($word, $subject),
            preg_split('~[\s,]+~', $way, -1, PREG_SPLIT_NO_EMPTY) ?: throw RuleNotPossible::notReadable($text),
        );
        if (count($words) > 1 && ! $subject->goesByBands()) {
            throw RuleNotPossible::oneWord($subject);
        }

        return new self($subject, $of, $words, null, false);
    }

    /** @return list<string> kinds of unit that have seams, as block files write them, and the four-patch */
    public static function kinds(): array
    {
        return [...array_values(array_diff(array_keys(UnitPatterns::all()), ['plain'])), FlippedCornersUnit::KIND, GridUnit::KIND, PatchesUnit::KIND, KnownShape::FOUR_PATCH];
    }

    /** What parse() reads as the same. */
    public function toText(): string
    {
        $way = $this->fabric === null
            ? implode(' ', array_map(static fn (RuleWord $word): string => $word->value, $this->words))
            : ($this->away ? 'away from ' : 'toward ').$this->fabric;

        return $this->subject->value.($this->of === '' ? '' : ' '.$this->of).': '.$way;
    }

    /** The word for one of the bands, counted from 0; they begin again when there are more bands. */
    public function wordFor(int $band): RuleWord
    {
        return $this->words === [] ? throw new \LogicException('A rule that goes by a fabric has no words.') : $this->words[$band % count($this->words)];
    }

    private static function wordOf(RuleSubject $subject, string $word): ?RuleWord
    {
        $known = RuleWord::tryFrom($word);

        return $known !== null && in_array($known, $subject->words(), true) ? $known : null;
    }
}
