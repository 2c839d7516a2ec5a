<?php

declare(strict_types=1);

namespace Tests\Reference;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Pressing\Internal\Cloth;
use KeenSeam\Core\Pressing\Layers;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\Pressing;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Process\Process;
use Tests\Support\Blocks;

/** Plies at any place against cloth that JSTS, a general-purpose geometry library, folded seam by seam. */
final class FoldingTest extends TestCase
{
    public function test_as_many_plies_lie_everywhere_as_folded_cloth_has(): void
    {
        for ($seed = 0; $seed < 6; ++$seed) {
            $construction = Blocks::construction(Blocks::generated($seed, 2, 2));
            $random = new Randomizer(new Mt19937($seed));
            $pressing = Pressing::wholeJoins($construction, array_map(
                static fn (): PressDirection => PressDirection::cases()[$random->getInt(0, 2)],
                $construction->joins,
            ));
            $far = $construction->face->outline()->points[2];
            $places = array_map(static fn (): array => [
                $random->getInt(0, 10000) / 10000 * $far->x + 0.000013,
                $random->getInt(0, 10000) / 10000 * $far->y + 0.000017,
            ], range(1, 120));
            $layers = new Layers($construction, $pressing);

            self::assertSame(
                self::folded($construction->root, new Cloth($construction), $pressing, $places),
                array_map(static fn (array $place): int => $layers->at($place[0], $place[1]), $places),
                "seed $seed",
            );
        }
    }

    /**
     * @param list<array{float, float}> $places
     *
     * @return list<int>
     */
    private static function folded(Assembly $root, Cloth $cloth, Pressing $pressing, array $places): array
    {
        $process = new Process(['node', __DIR__.'/folding.mjs'], dirname(__DIR__, 2), timeout: 120, input: json_encode([
            'pieces' => array_map(static fn ($outline): array => $outline->corners, array_values($cloth->outlines)),
            'tree' => self::tree($root, $pressing),
            'places' => $places,
        ], JSON_THROW_ON_ERROR));
        $process->mustRun();

        return json_decode($process->getOutput(), true, 512, JSON_THROW_ON_ERROR);
    }

    /** @return int|array<string, mixed> */
    private static function tree(Assembly $assembly, Pressing $pressing): int|array
    {
        if ($assembly instanceof Piece) {
            return $assembly->patch->id;
        }
        self::assertInstanceOf(Join::class, $assembly);
        $off = array_values(array_filter($assembly->left->outline()->points, static fn ($point): bool => $assembly->seam->sideOf($point) !== 0))[0];

        return [
            'left' => self::tree($assembly->left, $pressing),
            'right' => self::tree($assembly->right, $pressing),
            'from' => [$assembly->seam->from->x, $assembly->seam->from->y],
            'to' => [$assembly->seam->to->x, $assembly->seam->to->y],
            'leftOf' => [$off->x, $off->y],
            'press' => $pressing->of($assembly)[0]->value,
        ];
    }
}
