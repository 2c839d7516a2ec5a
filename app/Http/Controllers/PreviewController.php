<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\BlockFiles\BlockDoor;
use App\BlockFiles\BlockFileReader;
use App\House\House;
use App\Workings\WorkedTops;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\SetInSeamNeeded;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Drawing\FaceSketch;
use KeenSeam\Core\Drawing\Palette;
use KeenSeam\Core\Drawing\Reading\DrawnBlock;
use KeenSeam\Core\Drawing\Reading\SvgShapes;
use KeenSeam\Core\Drawing\Sketch;
use KeenSeam\Core\Drawing\Svg;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Making\SizeText;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Top\TopFace;

/** What a file holds, to be looked at before it is kept; nothing is kept here. */
final readonly class PreviewController
{
    private const PIXELS = 480;

    private const LONGEST_NAME = 120;

    public function __construct(private BlockDoor $door, private WorkedTops $tops) {}

    /** @throws KeenSeamProblem when no block or top comes of it */
    public function __invoke(Request $request): JsonResponse
    {
        $text = $request->getContent();
        if (str_contains((string) $request->headers->get('Content-Type'), 'svg')) {
            return $this->drawing($request, $text);
        }
        if (BlockFileReader::saysTop($text)) {
            $top = $this->tops->fromText($text);

            return $this->told('top', $top->name, $top->unit, array_map(static fn (float $side): string => (string) round($side, 3), $top->hangingSize()), FaceSketch::of(TopFace::of($top)->face, Palette::ofFabrics($top->fabrics), $top), [], $text);
        }
        [$block] = $this->door->withPlan($text);

        return $this->block($block, [], $text);
    }

    /** @throws KeenSeamProblem */
    private function drawing(Request $request, string $text): JsonResponse
    {
        $unit = LengthUnit::tryFrom((string) $request->query('units')) ?? House::now()->unit;
        $width = trim((string) $request->query('width'));
        $drawing = SvgShapes::in($text);
        $name = mb_substr(trim((string) $request->query('name')), 0, self::LONGEST_NAME);
        $name = mb_substr($name !== '' ? $name : $drawing->title, 0, self::LONGEST_NAME);
        $drawn = new DrawnBlock($drawing, $name === '' ? 'Drawn block' : $name, $unit, $width === '' ? null : Length::parse($width, $unit)->in($unit));
        $file = json_encode($drawn->file, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
        [$block] = $this->door->withPlan($file);

        return $this->block($block, $drawn->says, $file);
    }

    /** @param list<string> $says */
    private function block(Block $block, array $says, string $file): JsonResponse
    {
        $face = Face::of($block);
        try {
            Construction::of($face, Order::Rows);
        } catch (SetInSeamNeeded $problem) {
            $says[] = $problem->getMessage().' It can be kept, and mended at the wall.';
        }
        $size = SizeText::of($block->finishedWidth->in($block->unit), $block->finishedHeight->in($block->unit));

        return $this->told('block', $block->name, $block->unit, explode(' x ', $size), FaceSketch::of($face, Palette::ofFabrics($block->fabrics)), $says, $file);
    }

    /**
     * @param array<int, string> $finished
     * @param list<string>       $says
     */
    private function told(string $kind, string $name, LengthUnit $unit, array $finished, Sketch $sketch, array $says, string $file): JsonResponse
    {
        return new JsonResponse([
            'kind' => $kind,
            'name' => $name,
            'units' => $unit->value,
            'finished' => array_values($finished),
            'picture' => Svg::of($sketch, self::PIXELS * min(1.0, $sketch->width / $sketch->height), title: $name),
            'says' => $says,
            'file' => $file,
        ]);
    }
}
