<?php

declare(strict_types=1);

namespace App\Models;

use App\Exceptions\ChangedElsewhere;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use KeenSeam\Core\Assembly\ChosenOrder;
use KeenSeam\Core\Guide\Chain;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Matching\Tolerance;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Pressing\EqualParts;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\RestOfSeams;

/**
 * A block on the quilter's shelf: its file, and how far she has come with it.
 *
 * @property int                                    $id
 * @property string                                 $name
 * @property string                                 $document          the block file's text, as it was brought in
 * @property ChosenOrder                            $order             in which she sews it
 * @property PressStyle                             $style             in which she presses it
 * @property RestOfSeams                            $rest
 * @property array<string, array<array-key, mixed>> $locks             seams whose pressing she decided herself, by order, see Workings\\Facts
 * @property array<string, array<array-key, mixed>> $two_piles         cells of the unit classes she presses in two piles, by order
 * @property list<array{text: string, on: bool}>    $rules             how she says it is pressed, the later ones stronger; some switched off
 * @property int                                    $lump              plies above which the school by the lump opens seams
 * @property bool                                   $own_way           whether her locks and rules are followed; else they rest
 * @property array<string, mixed>                   $own_orders        orders of her own, nested pairs by name
 * @property int                                    $press_edit_number of the change at the press station that was made last, see History
 * @property EqualParts                             $equal_parts
 * @property array<string, int>                     $steps_done        of the plan's steps, by order
 * @property int|null                               $steps_in_all      of those, as of the last one done
 * @property bool                                   $order_chosen      whether she chose the order herself
 * @property list<string>                           $tags              of her own, for finding it on the shelf
 * @property \Illuminate\Support\Carbon|null        $updated_at        when it was last touched
 * @property int                                    $version           grows with every save; a save that does not know the newest one is refused
 * @property string|null                            $picture           the block file that the layout is to match
 * @property list<string>                           $meant             odd cells that are meant to be so, each with what it shows
 * @property array<string, string>                  $swatches          hash of a picture of the cloth, by fabric key
 * @property int                                    $edit_number       of the change to the layout that was made last, see History
 * @property array<string, mixed>                   $cutting           how she wants it cut, see CuttingChoices
 * @property list<string>                           $cut_done          pieces and units that lie ready
 * @property string|null                            $take_up           of her seams, in the block's unit; two allowances if null
 * @property SquareUp                               $square_up
 * @property array<string, array<array-key, mixed>> $measured_parts    raw width and height of parts, by order
 * @property array<string, array<array-key, mixed>> $work              what is sewn, pressed and done, by order
 * @property Chain                                  $chain             how its rows go through the machine
 * @property int|null                               $paused_at         when the work was put down, in milliseconds; null while it goes on
 * @property string|null                            $leave             largest miss that is left alone
 * @property string|null                            $ease              largest miss that is eased
 */
final class ShelfBlock extends Model
{
    use SoftDeletes;

    protected $guarded = [];

    protected $casts = [
        'order' => OrderOfSewing::class,
        'style' => PressStyle::class,
        'rest' => RestOfSeams::class,
        'locks' => 'array',
        'two_piles' => 'array',
        'rules' => 'array',
        'lump' => 'integer',
        'own_way' => 'boolean',
        'own_orders' => 'array',
        'press_edit_number' => 'integer',
        'equal_parts' => EqualParts::class,
        'steps_done' => 'array',
        'steps_in_all' => 'integer',
        'order_chosen' => 'boolean',
        'tags' => 'array',
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

    public function tolerance(LengthUnit $unit): Tolerance
    {
        return $this->leave === null || $this->ease === null
            ? Tolerance::usual($unit)
            : Tolerance::of(Length::parse($this->leave, $unit), Length::parse($this->ease, $unit), $unit);
    }

    /** What the screens call its order. */
    public function orderId(): string
    {
        return OrderOfSewing::idOf($this->order);
    }

    public function stepsDoneNow(): int
    {
        return $this->steps_done[$this->order->key()] ?? 0;
    }

    /**
     * Keeps it without a new version.
     *
     * @param array<string, mixed> $work by order
     */
    public function keepWork(array $work, int $stepsDone, int $stepsInAll): void
    {
        $this->work = $work;
        $this->steps_in_all = $stepsInAll;
        $this->steps_done = [$this->order->key() => $stepsDone] + $this->steps_done;
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
}
