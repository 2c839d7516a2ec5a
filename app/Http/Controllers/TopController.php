<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\BlockFiles\BlockFileReader;
use App\Documents\TopPlanSheet;
use App\Documents\TopSheet;
use App\Documents\TopWorkSheet;
use App\Http\SeenVersion;
use App\Models\ShelfBlock;
use App\Models\ShelfTop;
use App\Workings\TopChanges;
use App\Workings\TopHeld;
use App\Workings\WorkedTops;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Top\TopFace;
use KeenSeam\Core\Top\TopNotPossible;
use KeenSeam\Core\Top\TopStart;
use KeenSeam\Core\Top\TurnsAllowed;

/** Tops of the shelf. */
final readonly class TopController
{
    public function __construct(
        private WorkedTops $tops,
        private TopSheet $sheet,
        private BlockFileReader $reader,
    ) {}

    public function index(): JsonResponse
    {
        [$tops, $unopened] = [[], []];
        foreach (ShelfTop::query()->orderBy('name')->orderBy('id')->get() as $top) {
            try {
                $read = $this->tops->top($top);
                $tops[] = ['id' => $top->id, 'name' => $top->name, 'places' => $read->rows * $read->columns, 'picture' => TopSheet::picture(TopFace::of($read)), 'tags' => $top->tags, 'touched' => $top->updated_at?->getTimestampMs() ?? 0];
            } catch (KeenSeamProblem $problem) {
                $unopened[] = ['id' => $top->id, 'name' => $top->name, 'problem' => $problem->getMessage()];
            }
        }
        $takenOff = ShelfTop::onlyTrashed()->orderByDesc('deleted_at')->orderByDesc('id')->get(['id', 'name']);

        return new JsonResponse(['tops' => $tops, 'unopened' => $unopened, 'takenOff' => $takenOff->map(static fn (ShelfTop $top): array => ['id' => $top->id, 'name' => $top->name])->all()]);
    }

    /**
     * A top file brought in.
     *
     * @throws KeenSeamProblem
     */
    public function store(Request $request): JsonResponse
    {
        $top = $this->tops->fromText($request->getContent());
        $made = ShelfTop::query()->create(['name' => $top->name, 'document' => ShelfTop::textOf($top)]);

        return new JsonResponse($this->sheet->of($made), JsonResponse::HTTP_CREATED);
    }

    /**
     * A new top of blocks of the shelf, laid in turn from corner to corner.
     *
     * @throws KeenSeamProblem
     */
    public function begin(Request $request): JsonResponse
    {
        $ids = array_values(array_filter((array) $request->json('blocks'), is_int(...)));
        $ids = array_values(array_unique($ids));
        $found = ShelfBlock::query()->findOrFail($ids)->keyBy('id');
        $blocks = array_values(array_filter(array_map(static fn (int $id): ?ShelfBlock => $found->get($id), $ids)));
        if ($blocks === []) {
            throw TopNotPossible::because('Choose at least one block to make a top of.', '/blocks');
        }
        $start = TopStart::of(array_map(fn (ShelfBlock $block): array => [$this->reader->readAgain($block->document), $block->order instanceof Order ? $block->order->value : Order::Rows->value], $blocks));
        $name = trim((string) $request->string('name'));
        $top = $this->tops->fromFile(TopChanges::begun($start['fabrics'], $start['designs'], $name === '' ? 'New top' : $name));
        $made = ShelfTop::query()->create(['name' => $top->name, 'document' => ShelfTop::textOf($top), 'blocks' => array_combine(array_keys($start['designs']), array_map(ShelfTop::taken(...), $blocks))]);

        return new JsonResponse($this->sheet->of($made), JsonResponse::HTTP_CREATED);
    }

    public function show(ShelfTop $top): JsonResponse
    {
        return new JsonResponse($this->sheet->of($top));
    }

    /** @throws KeenSeamProblem */
    public function update(Request $request, ShelfTop $top): JsonResponse
    {
        $change = (array) $request->json('change');
        [$file, $words] = TopChanges::made((array) json_decode($top->document, true), $change);
        $top->change(SeenVersion::of($request), $words, $this->tops->fromFile($file));

        return new JsonResponse($this->sheet->of($top));
    }

    /** @throws KeenSeamProblem */
    public function undo(Request $request, ShelfTop $top): JsonResponse
    {
        $earlier = $top->earlier;
        $last = array_pop($earlier);
        if ($last !== null) {
            $top->takeBack(SeenVersion::of($request), $this->reader->readTop($last['document'])->name);
        }

        return new JsonResponse($this->sheet->of($top));
    }

    /**
     * Takes one of its blocks anew from the shelf, as it is there now.
     *
     * @throws KeenSeamProblem
     */
    public function takeBlock(Request $request, ShelfTop $top, string $key): JsonResponse
    {
        $block = ShelfBlock::query()->whereKey($top->blocks[$key]['id'] ?? 0)->firstOrFail();
        $file = TopChanges::withBlock($this->tops->top($top), $key, $this->reader->readAgain($block->document), $block->order instanceof Order ? $block->order->value : Order::Rows->value);
        $top->change(SeenVersion::of($request), sprintf('Took "%s" as it is now', $block->name), $this->tops->fromFile($file), ['blocks' => [$key => ShelfTop::taken($block)] + $top->blocks]);

        return new JsonResponse($this->sheet->of($top));
    }

    /**
     * The plan; or what it would be with nothing turned, or with one pile more of a block.
     *
     * @throws KeenSeamProblem
     */
    public function plan(Request $request, ShelfTop $top): JsonResponse
    {
        $more = $request->query('more');
        if ($request->boolean('fixed') || is_string($more)) {
            $file = (array) json_decode($top->document, true);
            $piles = is_array($file['piles'] ?? null) ? $file['piles'] : [];
            $change = is_string($more) ? ['piles' => [$more => (is_int($piles[$more] ?? null) ? $piles[$more] : 1) + 1] + $piles] : ['turns' => TurnsAllowed::Fixed->value];
            $top = (clone $top)->fill(['document' => ShelfTop::textOf($this->tops->fromFile($change + $file))]);
        }
        $plan = $this->tops->plan($top);

        return new JsonResponse([...$plan, 'plan' => $plan['plan'] === null ? null : TopPlanSheet::of($plan['plan'], $this->tops->top($top), TopHeld::of($top)->isAny())]);
    }

    /** Stops the search for a better plan: the best so far will do. */
    public function stopPlanning(ShelfTop $top): Response
    {
        $this->tops->stop($top);

        return new Response('', Response::HTTP_NO_CONTENT);
    }

    /** Searches on for a better plan, the next time it is asked for. */
    public function planOn(ShelfTop $top): Response
    {
        $this->tops->lookOn($top);

        return new Response('', Response::HTTP_NO_CONTENT);
    }

    /** @throws KeenSeamProblem */
    public function cutting(ShelfTop $top): JsonResponse
    {
        return new JsonResponse($this->tops->told($top, 'top-cutting-'.$top->preference->value, static fn (TopConstruction $placed): array => TopWorkSheet::cutting($placed, $top->preference)));
    }

    /**
     * Which blocks to look at twice.
     *
     * @throws KeenSeamProblem
     */
    public function looks(ShelfTop $top): JsonResponse
    {
        return new JsonResponse($this->tops->told($top, 'top-looks', TopWorkSheet::looks(...)));
    }

    /**
     * Everything there is to do, by the plan as far as it is known.
     *
     * @throws KeenSeamProblem
     */
    public function steps(ShelfTop $top): JsonResponse
    {
        $plan = $this->tops->plan($top);

        return new JsonResponse(['state' => $plan['plan'] === null ? 'working' : 'done', 'steps' => $plan['plan'] === null ? [] : TopWorkSheet::steps($plan['plan'], $this->tops->top($top), $top->chain, $top->preference)]);
    }

    public function file(ShelfTop $top): Response
    {
        return new Response($top->document, Response::HTTP_OK, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => sprintf('attachment; filename="%s.keentop.json"', Str::slug($top->name) ?: 'top'),
        ]);
    }

    /** Takes the top off the shelf; it can be put back. */
    public function destroy(ShelfTop $top): JsonResponse
    {
        $top->delete();

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }

    public function restore(ShelfTop $top): JsonResponse
    {
        $top->restore();

        return new JsonResponse(['id' => $top->id, 'name' => $top->name]);
    }
}
