<?php

declare(strict_types=1);

namespace App\Models;

use App\Exceptions\ChangedElsewhere;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Facades\DB;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\SashesSewn;
use KeenSeam\Core\Assembly\TopOrder;
use KeenSeam\Core\Guide\Chain;
use KeenSeam\Core\Making\Preference;
use KeenSeam\Core\Top\Top;
use KeenSeam\Core\Top\TopFileWriter;

/**
 * A top on the quilter's shelf.
 *
 * @phpstan-type Held array{from: string, document: string, order: string, sashes: string, chain: string, preference: string, pressed: array<string, list<string>>}
 * @phpstan-type Holds array{places: list<string>, piles: array<string, array<string, list<string>>>, seams: array<string, list<string>>}
 * @phpstan-type Sewn array{held: Held|null, times: array<string, int>, deeds: list<array{string, int}>}
 *
 * @property int                                          $id
 * @property string                                       $name
 * @property string                                       $document   the top file's text, its blocks in it
 * @property array<string, array{id: int, sum: string}>   $blocks     block of the shelf that each of its blocks was taken from, and as it was then, by key
 * @property list<array{words: string, document: string}> $earlier    what it was before its last changes, the latest last
 * @property Order                                        $order      in which its parts are sewn together
 * @property SashesSewn                                   $sashes     when its sashes are
 * @property Chain                                        $chain      how its rows go through the machine
 * @property array<string, array{string, string}>         $made       raw sizes of blocks that came out otherwise, along their upper edge and beside it, by key of the place
 * @property Holds                                        $holds      what the planner has to leave as it is
 * @property Sewn                                         $work       the plan that is held since the work began, how often each step was done, and what was done last
 * @property Preference                                   $preference how ways to make its units are weighed
 * @property list<string>                                 $tags       of her own, for finding it on the shelf
 * @property \Illuminate\Support\Carbon|null              $updated_at when it was last touched
 * @property int                                          $version    grows with every save; a save that does not know the newest one is refused
 */
final class ShelfTop extends Model
{
    use SoftDeletes;

    /** Changes that can be taken back. */
    private const MOST_EARLIER = 40;

    protected $guarded = [];

    protected $casts = ['blocks' => 'array', 'earlier' => 'array', 'version' => 'integer', 'order' => Order::class, 'sashes' => SashesSewn::class, 'chain' => Chain::class, 'preference' => Preference::class, 'work' => 'array', 'holds' => 'array', 'made' => 'array', 'tags' => 'array'];

    protected $attributes = ['tags' => '[]', 'blocks' => '{}', 'earlier' => '[]', 'version' => 1, 'order' => Order::Rows->value, 'sashes' => SashesSewn::Between->value, 'chain' => Chain::RowByRow->value, 'preference' => Preference::LeastCloth->value, 'made' => '{}', 'holds' => '{"places":[],"piles":[],"seams":[]}', 'work' => '{"held":null,"times":{},"deeds":[]}'];

    public static function textOf(Top $top): string
    {
        return json_encode(TopFileWriter::write($top), JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }

    public function topOrder(): TopOrder
    {
        // Twos by the chain are an order of their own; without sashes there are none to sew first.
        $hasSashes = isset(((array) json_decode($this->document, true))['sashes']);

        return new TopOrder($this->chain === Chain::Twos ? Order::Twos : $this->order, $hasSashes ? $this->sashes : SashesSewn::Between);
    }

    /** @return list<string> what its seams follow from */
    public function sewnSources(): array
    {
        $order = $this->topOrder();

        return [$this->document, $order->order->value, $order->sashes->value, json_encode($this->holds, JSON_THROW_ON_ERROR)];
    }

    /** Another when the block is drawn or sewn otherwise. */
    public static function sum(ShelfBlock $block): string
    {
        return hash('xxh128', $block->document.' '.$block->order->key());
    }

    /** @return array{id: int, sum: string} */
    public static function taken(ShelfBlock $block): array
    {
        return ['id' => $block->id, 'sum' => self::sum($block)];
    }

    /**
     * @param int                  $seen the version the change was made to
     * @param array<string, mixed> $more columns that change with it
     *
     * @throws ChangedElsewhere
     */
    public function change(int $seen, string $words, Top $top, array $more = []): void
    {
        $earlier = [...$this->earlier, ['words' => $words, 'document' => $this->document]];
        $this->keep($seen, ['name' => $top->name, 'document' => self::textOf($top), 'earlier' => array_slice($earlier, -self::MOST_EARLIER)] + $more);
    }

    /**
     * How it is to be sewn from now on.
     *
     * @throws ChangedElsewhere
     */
    public function sewnBy(int $seen, TopOrder $order, Chain $chain, Preference $preference): void
    {
        $this->keep($seen, ['order' => $order->order, 'sashes' => $order->sashes, 'chain' => $chain, 'preference' => $preference]);
    }

    /**
     * @param Holds $holds
     *
     * @throws ChangedElsewhere
     */
    public function holding(int $seen, array $holds): void
    {
        $this->keep($seen, ['holds' => $holds]);
    }

    /** @param array{string, string}|null $size null when it is as planned */
    public function cameOut(string $place, ?array $size): void
    {
        DB::transaction(function () use ($place, $size): void {
            // Another window may have told of another block since the top was read.
            $made = $this->refresh()->made;
            unset($made[$place]);
            $this->made = $size === null ? $made : [$place => $size] + $made;
            $this->save();
        });
    }

    /** @param Sewn $work */
    public function keepWork(array $work): void
    {
        $this->work = $work;
        $this->save();
    }

    /**
     * Takes the last change back.
     *
     * @throws ChangedElsewhere
     */
    public function takeBack(int $seen, string $nameThen): void
    {
        $earlier = $this->earlier;
        $last = array_pop($earlier);
        if ($last !== null) {
            $this->keep($seen, ['name' => $nameThen, 'document' => $last['document'], 'earlier' => $earlier]);
        }
    }

    /** @param array<string, mixed> $values */
    private function keep(int $seen, array $values): void
    {
        $this->fill($values);
        $this->version = $seen + 1;
        $saved = self::query()->whereKey($this->id)->where('version', $seen)->update($this->getDirty());
        if ($saved !== 1) {
            throw ChangedElsewhere::block($this->name);
        }
        $this->syncOriginal();
    }
}
