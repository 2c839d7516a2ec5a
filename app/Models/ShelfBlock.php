<?php

declare(strict_types=1);

namespace App\Models;

use App\Exceptions\ChangedElsewhere;
use App\Work\KeptProgress;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Guide\Chain;
use KeenSeam\Core\Guide\WorkProgress;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Matching\Tolerance;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Pressing\EqualParts;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\RestOfSeams;

/**
 * A block on the quilter's shelf: its file, and how far she has come with it.
 *
 * @property int                                              $id
 * @property string                                           $name
 * @property string                                           $document       the block file's text, as it was brought in
 * @property Order                                            $order          in which she sews it
 * @property PressStyle                                       $style          in which she presses it
 * @property RestOfSeams                                      $rest
 * @property array<string, list<Lock>>                        $locks          seams whose pressing she decided herself, by order
 * @property array<string, list<string>>                      $two_piles      labels of the unit classes she presses in two piles, by order
 * @property EqualParts                                       $equal_parts
 * @property array<string, int>                               $steps_done     of the plan's steps, by order
 * @property int                                              $version        grows with every save; a save that does not know the newest one is refused
 * @property string|null                                      $picture        the block file that the layout is to match
 * @property list<string>                                     $meant          odd cells that are meant to be so, each with what it shows
 * @property array<string, string>                            $swatches       hash of a picture of the cloth, by fabric key
 * @property int                                              $edit_number    of the change to the layout that was made last, see History
 * @property array<string, mixed>                             $cutting        how she wants it cut, see CuttingChoices
 * @property list<string>                                     $cut_done       pieces and units that lie ready
 * @property string|null                                      $take_up        of her seams, in the block's unit; two allowances if null
 * @property SquareUp                                         $square_up
 * @property array<string, array<int, array{string, string}>> $measured_parts raw width and height by join, by order
 * @property array<string, array<array-key, mixed>>           $work           what is sewn, pressed and done, see KeptProgress
 * @property Chain                                            $chain          how its rows go through the machine
 * @property int|null                                         $paused_at      when the work was put down, in milliseconds; null while it goes on
 * @property string|null                                      $leave          largest miss that is left alone
 * @property string|null                                      $ease           largest miss that is eased
 */
final class ShelfBlock extends Model
{
    use SoftDeletes;

    protected $guarded = [];

    protected $casts = [
        'order' => Order::class,
        'style' => PressStyle::class,
        'rest' => RestOfSeams::class,
        'locks' => LocksCast::class,
        'two_piles' => 'array',
        'equal_parts' => EqualParts::class,
        'steps_done' => 'array',
        'meant' => 'array',
        'cutting' => 'array',
        'square_up' => SquareUp::class,
        'measured_parts' => 'array',
        'work' => 'array',
        'chain' => Chain::class,
        'paused_at' => 'integer',
        'cut_done' => 'array',
        'swatches' => 'array',
        'edit_number' => 'integer',
        'version' => 'integer',
    ];

    /**
     * Saves in one statement, and only over the version the quilter has seen.
     *
     * @param array<string, mixed> $changes
     *
     * @throws ChangedElsewhere
     */
    public function saveOver(int $seenVersion, array $changes): void
    {
        $this->fill($changes);
        $this->version = $seenVersion + 1;
        $dirty = $this->getDirty();
        $saved = self::query()
            ->whereKey($this->id)
            ->where(static fn (Builder $query) => $query->where('version', $seenVersion))
            ->update($dirty);
        if ($saved !== 1) {
            throw ChangedElsewhere::block($this->name);
        }
        $this->syncOriginal();
    }

    /** @return list<Lock> of the order in which the block is sewn now */
    public function locksNow(): array
    {
        return $this->locks[$this->order->value] ?? [];
    }

    /** @param list<Lock> $locks */
    public function lockNow(array $locks): void
    {
        $this->locks = [$this->order->value => $locks] + $this->locks;
    }

    /** @return list<string> labels of unit classes */
    public function twoPilesNow(): array
    {
        return $this->two_piles[$this->order->value] ?? [];
    }

    /** @param list<string> $labels */
    public function pressInTwoPilesNow(array $labels): void
    {
        $this->two_piles = [$this->order->value => $labels] + $this->two_piles;
    }

    /**
     * How the quilter wants it pressed as it is sewn now, her locks left out.
     *
     * @param list<UnitClass> $classes
     */
    public function pressQuestion(array $classes): PressQuestion
    {
        $twoPiles = array_filter($classes, fn (UnitClass $class): bool => in_array($class->label(), $this->twoPilesNow(), true));

        return new PressQuestion($this->style, twoPiles: array_keys($twoPiles), equalParts: $this->equal_parts);
    }

    /** @return array<int, array{string, string}> raw width and height of parts that were measured, by the join that made them */
    public function measuredNow(): array
    {
        return $this->measured_parts[$this->order->value] ?? [];
    }

    /** @return array<int, array{float, float}> */
    public function measuredSizes(LengthUnit $unit): array
    {
        return array_map(static fn (array $size): array => [
            Length::parse($size[0], $unit)->in($unit)->toFloat(),
            Length::parse($size[1], $unit)->in($unit)->toFloat(),
        ], $this->measuredNow());
    }

    public function tolerance(LengthUnit $unit): Tolerance
    {
        return $this->leave === null || $this->ease === null
            ? Tolerance::usual($unit)
            : Tolerance::of(Length::parse($this->leave, $unit), Length::parse($this->ease, $unit), $unit);
    }

    public function stepsDoneNow(): int
    {
        return $this->steps_done[$this->order->value] ?? 0;
    }

    /** How far it has come along these seams. */
    public function progress(Construction $construction): WorkProgress
    {
        return KeptProgress::read($this->work[KeptProgress::signature($construction)] ?? []);
    }

    /**
     * Keeps it without a new version.
     *
     * @param array<string, mixed> $progress
     */
    public function keepWork(string $signature, array $progress, int $stepsDone): void
    {
        $this->work = [$signature => $progress] + $this->work;
        $this->steps_done = [$this->order->value => $stepsDone] + $this->steps_done;
        self::query()->whereKey($this->id)->update($this->getDirty());
        $this->syncOriginal();
    }

    /** Keeps it without a new version: the steps are others, what is sewn stays sewn. */
    public function sewAs(Chain $chain): void
    {
        $this->chain = $chain;
        self::query()->whereKey($this->id)->update($this->getDirty());
        $this->syncOriginal();
    }

    /** @param array{string, string} $size raw width and height of what a join made */
    public function measure(int $join, array $size): void
    {
        $this->measured_parts = [$this->order->value => [$join => $size] + $this->measuredNow()] + $this->measured_parts;
    }
}
