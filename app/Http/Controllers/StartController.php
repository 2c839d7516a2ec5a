<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\BlockFiles\BlockDoor;
use App\Documents\FaceDocument;
use App\Documents\ShelfDocument;
use App\Models\ShelfBlock;
use App\Wall\EditFields;
use App\Wall\EditNotReadable;
use App\Wall\OwnTray;
use App\Workings\Workings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\BlockFileWriter;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Layout\Hand;
use KeenSeam\Core\Layout\LayoutWords;
use KeenSeam\Core\Layout\Start;
use KeenSeam\Core\Layout\Symmetry;
use KeenSeam\Core\Layout\TrayUnit;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;

/** New blocks: what they can begin with, and one of them begun. */
final readonly class StartController
{
    public function __construct(
        private BlockDoor $door,
        private Workings $workings,
    ) {}

    public function index(): JsonResponse
    {
        $lines = array_fill(0, 4, Fraction::of(1));
        [$side, $allowance] = [Length::ofInches(12), Length::ofInches(1, 4)];

        return new JsonResponse(['tray' => self::tray(), 'own' => OwnTray::shown(), 'follows' => self::follows(), 'starts' => array_map(static fn (Start $start): array => [
            'start' => $start->value,
            'words' => $start->words(),
            'face' => FaceDocument::of(Face::of($start->block($start->words(), LengthUnit::Inch, $side, $side, $allowance, $lines, $lines))),
        ], Start::cases())]);
    }

    /** @return list<array<string, mixed>> the kinds of unit there are, in figure, ground and second figure */
    private static function tray(): array
    {
        return array_map(static fn (TrayUnit $unit): array => [
            'kind' => $unit->kind,
            'name' => $unit->name,
            'ratio' => $unit->ratio,
            'patches' => array_map(static fn (array $patch): array => ['role' => $patch[0], 'points' => $patch[1]], $unit->picture->toShares()),
        ], TrayUnit::all());
    }

    /** @return list<array<string, mixed>> what copies can follow by */
    private static function follows(): array
    {
        return array_map(static fn (Symmetry $one): array => [
            'name' => $one->value,
            'words' => $one->followWords(),
            'otherHand' => ['left' => LayoutWords::otherHand($one, Hand::Left), 'right' => LayoutWords::otherHand($one, Hand::Right)],
        ], [Symmetry::None, Symmetry::QuarterTurn, Symmetry::HalfTurn, Symmetry::MirrorVertical, Symmetry::MirrorHorizontal, Symmetry::MirrorBoth, Symmetry::MirrorDiagonals, Symmetry::Full]);
    }

    /** @throws KeenSeamProblem */
    public function store(Request $request): JsonResponse
    {
        $fields = new EditFields($request->json()->all());
        $unit = $fields->choice('units', LengthUnit::class);
        $block = $fields->choice('start', Start::class)->block(
            trim($fields->text('name')) === '' ? 'New block' : trim($fields->text('name')),
            $unit,
            $fields->length('width', $unit),
            $fields->length('height', $unit),
            $unit === LengthUnit::Inch ? Length::ofInches(1, 4) : Length::of(Fraction::of(6), $unit),
            self::lines($fields, 'columns'),
            self::lines($fields, 'rows'),
        );
        $text = json_encode(BlockFileWriter::write($block), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
        $this->door->fromText($text);
        $made = ShelfBlock::query()->create(['name' => $block->name, 'document' => $text]);
        $made->refresh();

        return new JsonResponse(ShelfDocument::of($made, FaceDocument::kept($this->workings->of($made))), JsonResponse::HTTP_CREATED);
    }

    /**
     * "4" is four equal ones; "1 2 1" are three, the middle one twice as wide.
     *
     * @return non-empty-list<Fraction>
     */
    private static function lines(EditFields $fields, string $field): array
    {
        $widths = preg_split('~[\s,]+~', trim($fields->text($field)), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $isCount = count($widths) === 1 && preg_match('~^\d{1,4}$~D', $widths[0]) === 1;
        $lines = $isCount ? array_fill(0, min((int) $widths[0], BlockFile::MOST_LINES + 1), '1') : $widths;
        $shares = array_map(static fn (string $width): Fraction => Length::parse($width)->inches, $lines);
        $arePositive = array_filter($shares, static fn (Fraction $share): bool => ! $share->isPositive()) === [];

        return $shares !== [] && count($shares) <= BlockFile::MOST_LINES && $arePositive
            ? $shares
            : throw EditNotReadable::field($field, sprintf('number from 1 to %d, nor a list of widths like "1 2 1"', BlockFile::MOST_LINES));
    }
}
