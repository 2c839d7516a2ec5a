<?php

declare(strict_types=1);

namespace Tests\Reference;

use KeenSeam\Core\Making\Cut;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\SizeText;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Support\Blocks;

/** The printed sheets, measured with poppler's tools, a general-purpose reader of PDF. */
final class PaperTest extends TestCase
{
    private const MILLIMETRES = 25.4 / 72;

    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/paper-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), glob($this->folder.'/*') ?: []);
        rmdir($this->folder);
    }

    public function test_pages_are_letter_or_a4_and_all_carry_name_size_and_number(): void
    {
        $file = Blocks::inwardGeese();
        foreach (['letter' => '612 x 792 pts (letter)', 'a4' => '595.276 x 841.89 pts (A4)'] as $paper => $size) {
            $pdf = $this->printed($file, "--paper=$paper");
            preg_match('~Pages:\s+(\d+)~', $info = $this->ask('pdfinfo', $pdf), $pages);
            self::assertStringContainsString($size, $info);
            $count = (int) ($pages[1] ?? 0);
            self::assertGreaterThan(2, $count);
            for ($page = 1; $page <= $count; ++$page) {
                $text = $this->ask('pdftotext', '-layout', '-f', (string) $page, '-l', (string) $page, $pdf, '-');
                self::assertMatchesRegularExpression("~{$file['name']}, 8 in finished, \\d+ \\w+ 20\\d\\d\\s+page $page of $count~", $text);
            }
        }
        $fonts = $this->ask('pdffonts', $pdf);
        self::assertDoesNotMatchRegularExpression('~ no +(yes|no) +\d+ +\d+$~m', substr($fonts, (int) strpos($fonts, '---')), 'every type is in the file');
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function blocks(): iterable
    {
        yield 'known units' => [Blocks::generated(3, 3, 4)];
        yield 'drawn patches' => [Blocks::slantedPatches(4, 6)];
        yield 'millimetres' => [['units' => 'mm', 'seam_allowance' => '6', 'finished' => ['width' => '150', 'height' => '150'], 'name' => 'Ebb & <Flow>'] + Blocks::slantedPatches(6, 5)];
    }

    /** @param array<string, mixed> $file */
    #[DataProvider('blocks')]
    public function test_every_stack_stands_on_the_sheet_with_its_size(array $file): void
    {
        $text = (string) preg_replace('~\s+~u', ' ', $this->ask('pdftotext', $this->printed($file, '--sheets=cut'), '-'));
        foreach (self::plan($file)->cuts as $cut) {
            self::assertMatchesRegularExpression(sprintf('~\b%s %d %ss? %s\b~', $cut->letter, $cut->count, $cut->shape->value, $file['units'] === 'mm' ? '[\d.x ≈]+' : preg_quote(SizeText::of($cut->width, $cut->height))), $text);
        }
        self::assertStringContainsString((string) $file['name'], $text);
    }

    public function test_templates_and_the_test_square_are_at_full_size(): void
    {
        $templates = 0;
        foreach ([[Blocks::slantedPatches(4, 6, '6'), 25.4, 25.4], [['units' => 'mm', 'seam_allowance' => '6', 'finished' => ['width' => '140', 'height' => '140']] + Blocks::slantedPatches(9, 6), 1.0, 50.0]] as [$file, $unit, $square]) {
            $pdf = $this->printed($file, '--sheets=templates');
            preg_match('~Pages:\s+(\d+)~', $this->ask('pdfinfo', $pdf), $pages);
            $drawn = [];
            for ($page = 1; $page <= (int) ($pages[1] ?? 0); ++$page) {
                $outlines = $this->outlines($pdf, $page);
                $squares = array_filter($outlines, static fn (array $sides): bool => count($sides) === 4 && max(array_map(static fn (float $side): float => abs($side - $square), $sides)) < 0.2);
                self::assertNotSame([], $squares, "page $page has its test square");
                array_push($drawn, ...$outlines);
            }
            foreach (self::plan($file)->cuts as $cut) {
                if ($cut->template !== null) {
                    ++$templates;
                    self::assertNotNull(self::alike(self::sides($cut, $unit), $drawn), "template $cut->letter is drawn as large as it is cut");
                }
            }
        }
        self::assertGreaterThan(6, $templates);
    }

    public function test_parts_of_a_large_template_make_the_whole_where_they_are_joined(): void
    {
        $file = Blocks::slantedPatches(3, 4, '24');
        $pdf = $this->printed($file, '--sheets=templates', '--paper=letter');
        $text = $this->ask('pdftotext', $pdf, '-');
        self::assertMatchesRegularExpression('~Template (\w), part 1 of (\d+)~', $text);
        preg_match('~Pages:\s+(\d+)~', $this->ask('pdfinfo', $pdf), $pages);
        $length = 0.0;
        for ($page = 1; $page <= (int) ($pages[1] ?? 0); ++$page) {
            $length += $this->drawnLength($pdf, $page);
        }
        $whole = array_sum(array_map(static fn (Cut $cut): float => $cut->template === null ? 0.0 : array_sum(self::sides($cut, 25.4)), self::plan($file)->cuts));
        self::assertEqualsWithDelta($whole, $length, 2.0, 'no stretch of an outline is missing or drawn twice');
    }

    /** @param array<string, mixed> $file */
    #[DataProvider('blocks')]
    public function test_everything_is_grey_and_keeps_off_the_edge_of_the_paper(array $file): void
    {
        $pdf = $this->printed($file);
        $this->ask('pdftoppm', '-r', '36', '-png', $pdf, $this->folder.'/page');
        $pages = glob($this->folder.'/page*.png') ?: [];
        self::assertGreaterThan(3, count($pages));
        foreach ($pages as $page) {
            $image = imagecreatefrompng($page);
            self::assertNotFalse($image);
            [$width, $height] = [imagesx($image), imagesy($image)];
            $coloured = $outside = 0;
            for ($x = 0; $x < $width; ++$x) {
                for ($y = 0; $y < $height; ++$y) {
                    $colour = imagecolorat($image, $x, $y);
                    [$red, $green, $blue] = [$colour >> 16 & 255, $colour >> 8 & 255, $colour & 255];
                    $coloured += $red === $green && $green === $blue ? 0 : 1;
                    $outside += min($x, $y, $width - 1 - $x, $height - 1 - $y) < 8 && $red < 250 ? 1 : 0;
                }
            }
            self::assertSame([0, 0], [$coloured, $outside], basename($page));
        }
    }

    /** @param array<string, mixed> $file */
    #[DataProvider('blocks')]
    public function test_no_words_lie_on_each_other_or_past_the_margins(array $file): void
    {
        $pdf = $this->printed($file, '--sheets=cut,order,press,joins,steps');
        preg_match_all('~<word xMin="([\d.]+)" yMin="([\d.]+)" xMax="([\d.]+)" yMax="([\d.]+)">~', $this->ask('pdftotext', '-bbox', $pdf, '-'), $words, PREG_SET_ORDER);
        self::assertGreaterThan(200, count($words));
        foreach ($words as [, $left, $top, $right, $bottom]) {
            self::assertTrue((float) $left >= 30 && (float) $right <= 612 - 30 + 0.5 && (float) $top >= 30 && (float) $bottom <= 842 - 30, "$left $top $right $bottom");
        }
    }

    public function test_a_large_block_is_printed_in_little_memory(): void
    {
        $pdf = $this->printed(Blocks::generated(4, 12, 12), '--sheets=cut,order,press');
        preg_match('~Pages:\s+(\d+)~', $this->ask('pdfinfo', $pdf), $pages);
        self::assertGreaterThan(20, (int) ($pages[1] ?? 0));
    }

    /**
     * @param array<string, mixed> $file
     *
     * @return string path of the PDF
     */
    private function printed(array $file, string ...$options): string
    {
        $path = sprintf('%s/%s', $this->folder, bin2hex(random_bytes(4)));
        file_put_contents("$path.json", json_encode($file, JSON_THROW_ON_ERROR));
        $this->ask(PHP_BINARY, '-d', 'memory_limit=256M', 'artisan', 'seam:paper', "$path.json", "$path.pdf", ...$options);

        return "$path.pdf";
    }

    private function ask(string ...$command): string
    {
        $process = new Process(array_values($command), dirname(__DIR__, 2), timeout: 120);
        $process->mustRun();

        return $process->getOutput();
    }

    /** @param array<string, mixed> $file */
    private static function plan(array $file): CuttingPlan
    {
        return CuttingPlan::of(Blocks::construction($file), new CutQuestion(1));
    }

    /** @return list<float> in millimetres */
    private static function sides(Cut $cut, float $unit): array
    {
        return array_map(static fn (float $side): float => $side * $unit, $cut->template?->sides($cut->margin) ?? []);
    }

    /**
     * @param list<float>       $sides
     * @param list<list<float>> $drawn
     *
     * @return list<float>|null one of the drawn outlines that has these sides in this order, 0.2 mm aside
     */
    private static function alike(array $sides, array $drawn): ?array
    {
        foreach ($drawn as $other) {
            foreach (count($other) === count($sides) ? array_keys($other) : [] as $from) {
                $turned = [...array_slice($other, $from), ...array_slice($other, 0, $from)];
                if (max(array_map(static fn (float $one, float $two): float => abs($one - $two), $sides, $turned)) < 0.2) {
                    return $other;
                }
            }
        }

        return null;
    }

    /** @return list<list<float>> lengths of the sides of every closed outline on a page, in millimetres */
    private function outlines(string $pdf, int $page): array
    {
        $outlines = [];
        foreach ($this->strokes($pdf, $page) as [$points]) {
            // The first side is drawn once more, so that its corner is as round as the others.
            if (count($points) > 4 && hypot($points[0][0] - $points[count($points) - 2][0], $points[0][1] - $points[count($points) - 2][1]) < 0.01) {
                $outlines[] = self::lengths(array_slice($points, 0, -1));
            }
        }

        return $outlines;
    }

    /** Millimetres of lines as thick as an outline that is cut along. */
    private function drawnLength(string $pdf, int $page): float
    {
        $length = 0.0;
        foreach ($this->strokes($pdf, $page) as [$points, $thick]) {
            if (abs($thick - 0.35) < 0.02) {
                $isClosed = count($points) > 4 && hypot($points[0][0] - $points[count($points) - 2][0], $points[0][1] - $points[count($points) - 2][1]) < 0.01;
                $length += array_sum(self::lengths($isClosed ? array_slice($points, 0, -1) : $points));
            }
        }

        return $length;
    }

    /** @return list<array{list<array{float, float}>, float}> points in millimetres, and how thick the line is */
    private function strokes(string $pdf, int $page): array
    {
        $svg = $this->folder.'/page.svg';
        $this->ask('pdftocairo', '-svg', '-f', (string) $page, '-l', (string) $page, $pdf, $svg);
        // The numbers are the PDF's own points; the transformation is the tool's, to whole points of its page.
        preg_match_all('~<path style="fill:none;stroke-width:([\d.]+);[^"]*" d="([^"]+)"~', (string) file_get_contents($svg), $paths, PREG_SET_ORDER);

        return array_map(static function (array $path): array {
            preg_match_all('~([\d.-]+) ([\d.-]+)~', $path[2], $points, PREG_SET_ORDER);

            return [array_map(static fn (array $point): array => [(float) $point[1] * self::MILLIMETRES, (float) $point[2] * self::MILLIMETRES], $points), (float) $path[1] * self::MILLIMETRES];
        }, $paths);
    }

    /**
     * @param list<array{float, float}> $points
     *
     * @return list<float>
     */
    private static function lengths(array $points): array
    {
        return array_map(static fn (array $from, array $to): float => hypot($to[0] - $from[0], $to[1] - $from[1]), array_slice($points, 0, -1), array_slice($points, 1));
    }
}
