<?php

declare(strict_types=1);

namespace App\Wall;

use App\BlockFiles\BlockDoor;
use App\House\House;
use App\House\Switching;
use App\Models\ShelfBlock;
use App\Models\ShelfTop;
use App\Workings\WorkedTops;
use App\Workings\Workings;
use KeenSeam\Core\Block\BlockFileWriter;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Making\OtherUnit;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;

/**
 * Blocks and tops of the shelf, measured in the other unit of length. What is cut, sewn or measured already keeps its size:
 * such a block is only written otherwise.
 */
final readonly class InOtherUnit
{
    /** Fields of a top file that are lengths. */
    private const LENGTHS = ['seam_allowance', 'width', 'height', 'size', 'float'];

    public function __construct(
        private BlockDoor $door,
        private Workings $workings,
        private WorkedTops $tops,
    ) {}

    /**
     * @return bool whether the block has another size now
     *
     * @throws KeenSeamProblem when it cannot be, and nothing is changed then
     */
    public function switch(ShelfBlock $block, int $seenVersion, LengthUnit $unit, Switching $how): bool
    {
        $working = $this->workings->of($block);
        $design = $working->design();
        $isBegun = $block->cut_done !== [] || $block->stepsDoneNow() > 0 || array_filter($block->measured_parts) !== [];
        $isSensible = $how === Switching::Sensibly && ! $isBegun;
        $switched = $isSensible ? OtherUnit::sensibly($design, $unit, House::now()->allowance($unit)) : OtherUnit::exactly($design, $unit);
        $text = json_encode(BlockFileWriter::write($switched), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
        $this->door->fromText($text);
        $other = static fn (?string $length): ?string => $length === null ? null : Length::parse($length, $design->unit)->toText($unit);
        $cutting = $block->cutting;
        History::record($block, $seenVersion, $unit === LengthUnit::Inch ? 'Measure it in inches' : 'Measure it in millimetres', [
            'document' => $text,
            // A seam takes from the width what it takes; what one leaves and eases is usual again in the other unit's steps.
            'take_up' => $isSensible ? null : $other($block->take_up),
            'leave' => null,
            'ease' => null,
            'measured_parts' => self::measured($block->measured_parts, $other),
            'cutting' => ['width' => $other(is_string($cutting['width'] ?? null) ? $cutting['width'] : null), 'marks' => null] + $cutting,
            // Stacks are known by their sizes, and those are others on another ruler; units that are made stay made.
            'cut_done' => array_values(array_filter($block->cut_done, static fn (string $name): bool => str_starts_with($name, 'unit '))),
        ]);

        return $isSensible;
    }

    /**
     * A top is as large as it was.
     *
     * @throws KeenSeamProblem
     */
    public function switchTop(ShelfTop $top, LengthUnit $unit): void
    {
        $file = (array) json_decode($top->document, true);
        $from = LengthUnit::from(is_string($file['units'] ?? null) ? $file['units'] : '');
        $inOther = static function (array $part) use (&$inOther, $from, $unit): array {
            foreach ($part as $name => $value) {
                $part[$name] = match (true) {
                    is_array($value) => $inOther($value),
                    is_string($value) && in_array($name, self::LENGTHS, true) => Length::parse($value, $from)->toText($unit),
                    default => $value,
                };
            }

            return $part;
        };
        $made = array_map(static fn (array $size): array => array_map(static fn (string $side): string => $side === '' ? '' : Length::parse($side, $from)->toText($unit), $size), $top->made);
        $top->change($top->version, $unit === LengthUnit::Inch ? 'Measure it in inches' : 'Measure it in millimetres', $this->tops->fromFile(['units' => $unit->value] + $inOther($file)), ['made' => $made]);
    }

    /**
     * @param array<string, array<array-key, mixed>> $parts by order and place
     * @param \Closure(string): ?string              $other
     *
     * @return array<string, array<array-key, mixed>>
     */
    private static function measured(array $parts, \Closure $other): array
    {
        return array_map(static fn (array $ofOrder): array => array_map(static function (mixed $part) use ($other): mixed {
            $size = is_array($part) ? $part['size'] ?? null : null;

            return is_array($part) && is_array($size) ? ['size' => array_map(static fn (mixed $side): ?string => is_string($side) ? $other($side) : null, $size)] + $part : $part;
        }, $ofOrder), $parts);
    }
}
