<?php

declare(strict_types=1);

namespace KeenSeam\Core\Photo;

/** The light of a photograph and the colours of its cloth, learnt together; logarithms of red, green and blue. */
final readonly class Light
{
    private const ROUNDS = 8;

    /** How much a fabric's colour in the file counts beside a place where it is seen. */
    private const FILE = 0.3;

    /**
     * @param array<string, array{float, float, float}> $fabrics in the middle of the layout, by key
     * @param list<list<float>>                         $terms   how the light changes over the layout, a channel each
     * @param float                                     $misfit  how far what is seen lies off what is learnt, in the middle of all places
     * @param float                                     $spread  of places of one cloth
     * @param array<string, int>                        $places  at which a fabric was seen
     */
    private function __construct(private array $fabrics, private array $terms, public float $misfit, public float $spread, private array $places) {}

    /**
     * @param list<array{fabric: string, x: float, y: float, places: int, lights: list<array{float, float, float}>}> $seen  one for every fabric of every unit, as drawn; places from -1 to 1
     * @param array<string, array<int, float>>                                                                       $files colours as the file has them, by key
     */
    public static function learnt(array $seen, array $files): self
    {
        $keys = array_map(strval(...), array_keys($files));
        $number = array_flip($keys);
        $size = count($keys);
        $rows = $means = $weights = $places = [];
        foreach ($seen as $one) {
            $row = array_fill(0, $size, 0.0);
            $row[$number[$one['fabric']]] = 1.0;
            $rows[] = [...$row, ...self::terms($one['x'], $one['y'])];
            // The middle one is not moved by a print or by cloth that lies wrong.
            $means[] = array_map(static fn (int $c): float => self::middle(array_column($one['lights'], $c)), [0, 1, 2]);
            $weights[] = sqrt($one['places']);
            $places[$one['fabric']] = ($places[$one['fabric']] ?? 0) + $one['places'];
        }
        $usual = $weights;
        $factors = [[], [], []];
        $off = [];
        for ($round = 0; $round < self::ROUNDS; ++$round) {
            foreach ([0, 1, 2] as $c) {
                $cast = self::middle(array_map(static fn (array $mean, array $one): float => $mean[$c] - ($files[$one['fabric']][$c] ?? 0.0), $means, $seen));
                $prior = array_map(static fn (string $key): array => [...array_replace(array_fill(0, $size, 0.0), [$number[$key] => 1.0]), ...array_fill(0, 5, 0.0)], $keys);
                $bends = array_map(static fn (int $i): array => array_replace(array_fill(0, $size + 5, 0.0), [$size + $i => 1.0]), [0, 1, 2, 3, 4]);
                $factors[$c] = LeastSquares::solve(
                    [...$rows, ...array_map(array_values(...), $prior), ...array_map(array_values(...), $bends)],
                    [...array_column($means, $c), ...array_map(static fn (string $key): float => ($files[$key][$c] ?? 0.0) + $cast, $keys), 0.0, 0.0, 0.0, 0.0, 0.0],
                    [...$weights, ...array_fill(0, $size, self::FILE), 0.2, 0.2, 2.0, 2.0, 2.0],
                );
            }
            $off = array_map(static function (array $row, array $mean) use ($factors): float {
                $sum = 0.0;
                foreach ([0, 1, 2] as $c) {
                    $told = 0.0;
                    foreach ($row as $i => $term) {
                        $told += $term * $factors[$c][$i];
                    }
                    $sum += ($mean[$c] - $told) ** 2;
                }

                return sqrt($sum / 3);
            }, $rows, $means);
            $most = max(0.15, 3.5 * self::middle($off));
            $weights = array_map(static fn (float $one, float $usual): float => $one > $most ? 0.0 : $usual * (1 - ($one / $most) ** 2) ** 2, $off, $usual);
        }
        $fabrics = [];
        foreach ($keys as $i => $key) {
            $fabrics[$key] = [$factors[0][$i], $factors[1][$i], $factors[2][$i]];
        }
        $light = new self($fabrics, array_map(static fn (array $all): array => array_slice($all, $size), $factors), 0.0, 0.0, $places);
        $each = [];
        foreach ($seen as $one) {
            $expected = $light->of($one['fabric'], $one['x'], $one['y']);
            foreach ($one['lights'] as $at) {
                $each[] = sqrt((($at[0] - $expected[0]) ** 2 + ($at[1] - $expected[1]) ** 2 + ($at[2] - $expected[2]) ** 2) / 3);
            }
        }
        $capped = array_map(static fn (float $one): float => min(0.8, $one), $each);

        return new self($fabrics, $light->terms, $capped === [] ? 1.0 : array_sum($capped) / count($capped), self::middle($each) / 0.8, $places);
    }

    /** @return array{float, float, float} what a fabric looks like at a place of the layout, from -1 to 1 */
    public function of(string $fabric, float $x, float $y): array
    {
        $seen = $this->fabrics[$fabric] ?? [0.0, 0.0, 0.0];
        foreach (self::terms($x, $y) as $i => $term) {
            $seen[0] += $term * $this->terms[0][$i];
            $seen[1] += $term * $this->terms[1][$i];
            $seen[2] += $term * $this->terms[2][$i];
        }

        return $seen;
    }

    public function isSeen(string $fabric): bool
    {
        return ($this->places[$fabric] ?? 0) > 0;
    }

    /** @return list<float> */
    private static function terms(float $x, float $y): array
    {
        return [$x, $y, $x * $x, $x * $y, $y * $y];
    }

    /** @param list<float> $numbers */
    private static function middle(array $numbers): float
    {
        sort($numbers);

        return $numbers[intdiv(count($numbers), 2)] ?? 0.0;
    }
}
