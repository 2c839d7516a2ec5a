<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\LookingLesson;
use App\Models\PhotographRecord;
use App\Photo\Camera;
use App\Photo\PhotoFile;
use App\Photo\Planted;
use App\Photo\Shot;
use Illuminate\Testing\TestResponse;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Photo\PhotoReader;
use KeenSeam\Core\Photo\UnitFace;
use KeenSeam\Core\Photo\Verdict;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Process\Process;
use Tests\Support\Blocks;

final class PhotographTest extends TestCase
{
    public function test_a_photograph_is_kept_small_looked_at_and_gone_with_its_block(): void
    {
        $this->getJson('/api/blocks/3/photo')->assertOk()->assertJson(['picture' => null, 'cells' => []]);
        $told = $this->send(self::jpeg('tide-gate', ['1,2:180', '3,4:plain'], 8))->assertOk()->json();
        self::assertSame('2 units do not lie as drawn.', $told['says']);
        $wrong = array_values(array_filter($told['cells'], static fn (array $cell): bool => $cell['verdict'] !== 'as drawn'));
        self::assertSame([[1, 2, 'turned', 180, 'Turn it half round.'], [3, 4, 'another unit', 90, 'Another unit lies here than is drawn.']], array_map(static fn (array $cell): array => [$cell['row'], $cell['column'], $cell['verdict'], $cell['turn'], $cell['words']], $wrong));
        $picture = (string) $this->get('/api/blocks/3/photo.jpg')->assertOk()->getContent();
        self::assertStringStartsWith("\xff\xd8", $picture);
        self::assertStringNotContainsString('Exif', $picture, 'where it was taken is not kept');

        $this->putJson('/api/blocks/3/photo/minds', ['row' => 3, 'column' => 4, 'never' => true])->assertJson(['says' => '1 unit does not lie as drawn.']);
        $this->putJson('/api/blocks/3/photo/minds', ['row' => 3, 'column' => 4, 'never' => false])->assertJson(['says' => '2 units do not lie as drawn.']);
        // The drawing is changed to what lies there: it is compared with that from then on.
        $this->postJson('/api/blocks/3/edits', ['edit' => ['do' => 'lie', 'places' => [[1, 2]], 'turn' => 180, 'mirrored' => false], 'follow' => 'none'], ['If-Match' => '"1"'])->assertOk();
        $this->getJson('/api/blocks/3/photo')->assertJson(['says' => '1 unit does not lie as drawn.']);

        $this->deleteJson('/api/blocks/3')->assertNoContent();
        self::assertSame(0, PhotographRecord::query()->count());
    }

    public function test_a_picture_can_be_removed_alone_and_a_bad_one_leaves_the_one_before(): void
    {
        $this->send(self::jpeg('tide-gate', [], 3))->assertJson(['says' => 'All 16 units look as they are drawn.']);
        foreach ([
            ['no picture', 'This is no photograph that can be read. Choose a JPEG, PNG or WebP picture.'],
            [self::bomb(), 'The picture has 60000 x 60000 pixels; at most 40 million can be looked at. Make it smaller.'],
            [self::png(90, 90), 'The picture has only 90 x 90 pixels; at least 200 each way are needed to tell units apart.'],
        ] as [$bytes, $says]) {
            $this->send($bytes)->assertStatus(422)->assertJson(['message' => $says]);
        }
        $this->getJson('/api/blocks/3/photo')->assertJson(['says' => 'All 16 units look as they are drawn.']);
        $this->deleteJson('/api/blocks/3/photo')->assertOk()->assertJson(['picture' => null]);
        $this->get('/api/blocks/3/photo.jpg')->assertNotFound();
    }

    public function test_where_corners_are_not_found_the_quilter_puts_them(): void
    {
        $told = $this->send(self::png(640, 480))->assertOk()->json();
        self::assertSame(['The corners of the block cannot be found by themselves. Put a finger on each of the four.', null], [$told['problem'], $told['corners']]);
        [$jpeg, $corners] = self::taken('tide-gate', ['2,1:180'], 21);
        $this->send($jpeg);
        foreach ([[[1, 1], [2, 2], [3, 3], [4, 4]], [[100, 100], [200, 100], [200, 200]], [['a', 1], [1, 1], [1, 1], [1, 1]], [$corners[0], $corners[3], $corners[2], $corners[1]]] as $spoilt) {
            $answer = $this->putJson('/api/blocks/3/photo/corners', ['corners' => $spoilt])->json();
            self::assertStringStartsWith('These four corners make no block', $answer['message'] ?? $answer['problem']);
        }
        $put = $this->putJson('/api/blocks/3/photo/corners', ['corners' => $corners])->assertOk()->json();
        self::assertSame('1 unit does not lie as drawn.', $put['says']);
        self::assertEqualsWithDelta($corners, $put['corners'], 0.1);
    }

    public function test_a_made_picture_keeps_its_secret_until_it_is_guessed(): void
    {
        $told = $this->postJson('/api/blocks/3/photo/made')->assertOk()->json();
        self::assertSame([null], array_values(array_unique(array_column($told['cells'], 'verdict'))));
        self::assertSame([[], '', false], [$told['lesson']['planted'], $told['says'], $told['lesson']['isOver']]);
        $planted = PhotographRecord::query()->firstOrFail()->planted ?? [];
        self::assertCount(1, $planted);
        $over = $this->postJson('/api/blocks/3/photo/guess', ['row' => $planted[0]['row'], 'column' => $planted[0]['column']])->assertOk()->json();
        self::assertTrue($over['lesson']['isOver']);
        self::assertSame(1, $over['lessons']['yours']);
        $this->postJson('/api/blocks/3/photo/guess', ['row' => 1, 'column' => 1])->assertStatus(422);
        self::assertSame(1, LookingLesson::query()->count());
        self::assertSame(1, $this->getJson('/api/logbook')->json('looking.taken'));
    }

    public function test_the_commands_agree_and_tell_in_one_sentence_what_is_wrong(): void
    {
        $folder = sys_get_temp_dir().'/photo-'.bin2hex(random_bytes(4));
        mkdir($folder);
        $block = base_path('database/demo/slack-water.keenseam.json');
        [$code, $made] = self::run_('seam:camera', $block, "$folder/photo.jpg", '--seed=4', '--wrong=2,2:90', '--wrong=1,1:270m');
        $shot = json_decode($made, true, 512, JSON_THROW_ON_ERROR);
        self::assertSame([0, [['row' => 2, 'column' => 2, 'turn' => 90, 'mirrored' => false, 'unit' => null]]], [$code, $shot['wrong']], 'mirrored on its diagonal a half-square triangle shows the same');
        $corners = implode(' ', array_map(static fn (array $corner): string => implode(',', $corner), $shot['corners']));
        foreach ([[], ["--corners=$corners"]] as $options) {
            $read = json_decode(self::run_('seam:photo', $block, "$folder/photo.jpg", ...$options)[1], true, 512, JSON_THROW_ON_ERROR);
            self::assertCount(16, $read['cells']);
            $wrong = array_values(array_filter($read['cells'], static fn (array $cell): bool => $cell['verdict'] !== 'as drawn'));
            self::assertSame([[2, 2, 'turned']], array_map(static fn (array $cell): array => [$cell['row'], $cell['column'], $cell['verdict']], $wrong));
        }
        foreach ([
            [['seam:photo', $block, "$folder/photo.jpg", '--corners=1,2'], '--corners is "1,2". Write it like "10,12 900,15 890,880 14,870".'],
            [['seam:photo', $block, $block], 'This is no photograph that can be read. Choose a JPEG, PNG or WebP picture.'],
            [['seam:photo', base_path('database/demo/lamp-room.keenseam.json'), "$folder/photo.jpg"], 'What is laid out here does not look like Lamp Room. Choose another picture, or put the four corners where they are.'],
            [['seam:camera', $block, "$folder/other.png", '--wrong=9,9:90'], '--wrong is "9,9:90". Write it like 1,1:90, with a row and a column of the block.'],
            [['seam:camera', base_path('database/demo/night-watch.keentop.json'), "$folder/other.png"], 'Photographs are looked at block by block. Choose a block file.'],
        ] as [$command, $says]) {
            self::assertSame([1, '', $says."\n"], self::run_(...$command));
        }
        self::assertFileDoesNotExist("$folder/other.png");
        array_map(unlink(...), glob("$folder/*") ?: []);
        rmdir($folder);
    }

    /** @return list<array{array<string, mixed>, int}> */
    public static function photographs(): array
    {
        $made = [];
        foreach ([[Blocks::generated(21, 4, 4), 1], [Blocks::generated(22, 5, 3), 2], [Blocks::generated(23, 3, 5), 3], [Blocks::inwardGeese(), 4], [['units' => 'mm', 'seam_allowance' => '6', 'finished' => ['width' => '300', 'height' => '300']] + Blocks::generated(24, 4, 4), 5]] as [$file, $seed]) {
            array_push($made, [$file, $seed], [$file, $seed + 50]);
        }

        return $made;
    }

    /** @param array<string, mixed> $file */
    #[DataProvider('photographs')]
    public function test_what_was_laid_wrong_is_found_and_nothing_else(array $file, int $seed): void
    {
        $face = Face::of(BlockFile::read($file));
        $shot = new Shot($seed);
        $faces = [];
        $cells = $face->block->grid->cells;
        for ($i = 0; count($faces) < 2 && $i < 40; ++$i) {
            $cell = $cells[$shot->random->getInt(0, count($cells) - 1)];
            $faces += Planted::read(["$cell->row,$cell->column:180"], $face)->faces;
        }
        [$image, $corners] = Camera::take($face, $faces, $shot);
        $reading = PhotoReader::read($face, PhotoFile::pixels($image), $corners);
        $called = [];
        $unsure = 0;
        foreach ($reading->cells as $cell) {
            $unsure += $cell->verdict === Verdict::Unsure ? 1 : 0;
            if ($cell->verdict->isWrong()) {
                $called[] = "$cell->row,$cell->column";
            }
        }
        self::assertSame([], array_diff($called, array_keys($faces)), 'no false alarm');
        self::assertLessThanOrEqual(1, count(array_diff(array_keys($faces), $called)) + $unsure);
    }

    public function test_a_block_that_is_sewn_or_photographed_from_another_side_is_read_too(): void
    {
        $face = Face::of(BlockFile::read(json_decode((string) file_get_contents(base_path('database/demo/tide-gate.keenseam.json')), true, 512, JSON_THROW_ON_ERROR)));
        [$image] = Camera::take($face, Planted::read(['1,2:180'], $face)->faces, new Shot(31, 5.0, 1.2, 0.0), apart: [-0.5, -0.5]);
        $reading = PhotoReader::read($face, PhotoFile::pixels($image));
        self::assertSame(['1,2'], self::wrong($reading->cells));

        // Two halves, sewn each, apart in the middle; and rows that are sewn.
        foreach ([[[-0.5, 0.75, -0.5], -0.5], [-0.5, 0.5], [[-0.5, 0.5, -0.5], [-0.5, 0.5, -0.5]]] as $i => $apart) {
            [$image, $corners] = Camera::take($face, Planted::read(['2,2:180', '4,3:180'], $face)->faces, new Shot(40 + $i, 8.0, 1.5, 0.0), apart: $apart);
            self::assertSame(['2,2', '4,3'], self::wrong(PhotoReader::read($face, PhotoFile::pixels($image), $corners)->cells));
        }

        // No two sides of this one are alike: it lies on its side on the picture.
        $file = Blocks::generated(77, 4, 4);
        $face = Face::of(BlockFile::read($file));
        [$image, $corners] = Camera::take($face, [], new Shot(9, 3.0, 1.2, 1.0));
        $turned = imagerotate($image, 90, 0);
        self::assertInstanceOf(\GdImage::class, $turned);
        $reading = PhotoReader::read($face, PhotoFile::pixels($turned));
        self::assertSame([], self::wrong($reading->cells));
        // Turned to the left, the upper left corner came to the lower left.
        self::assertLessThan(30, hypot($reading->corners[0][0] - $corners[0][1], $reading->corners[0][1] - (1400 - $corners[0][0])));
    }

    public function test_faces_that_look_alike_are_one(): void
    {
        $face = new UnitFace([['A', [[0, 0], [1, 0], [0, 1]]], ['B', [[1, 0], [1, 1], [0, 1]]]]);
        $looks = [];
        foreach ([false, true] as $isMirrored) {
            foreach (\KeenSeam\Core\Block\Turn::cases() as $turn) {
                $looks[] = $face->moved(new \KeenSeam\Core\Block\Placement($turn, $isMirrored))->look();
            }
        }
        self::assertCount(4, array_unique($looks));
    }

    /**
     * @param list<\KeenSeam\Core\Photo\SeenCell> $cells
     *
     * @return list<string>
     */
    private static function wrong(array $cells): array
    {
        return array_values(array_map(static fn ($cell): string => "$cell->row,$cell->column", array_filter($cells, static fn ($cell): bool => $cell->verdict->isWrong())));
    }

    /** @return TestResponse<Response> */
    private function send(string $bytes): TestResponse
    {
        return $this->call('PUT', '/api/blocks/3/photo', server: ['CONTENT_TYPE' => 'image/jpeg', 'HTTP_ACCEPT' => 'application/json'], content: $bytes);
    }

    /** @param list<string> $wrong */
    private static function jpeg(string $name, array $wrong, int $seed): string
    {
        return self::taken($name, $wrong, $seed)[0];
    }

    /**
     * @param list<string> $wrong
     *
     * @return array{string, list<array{float, float}>}
     */
    private static function taken(string $name, array $wrong, int $seed): array
    {
        $face = Face::of(BlockFile::read(json_decode((string) file_get_contents(base_path("database/demo/$name.keenseam.json")), true, 512, JSON_THROW_ON_ERROR)));
        [$image, $corners] = Camera::take($face, Planted::read($wrong, $face)->faces, new Shot($seed));
        ob_start();
        imagejpeg($image, null, 90);

        return [(string) ob_get_clean(), $corners];
    }

    private static function png(int $width, int $height): string
    {
        $image = imagecreatetruecolor(max(1, $width), max(1, $height));
        self::assertNotFalse($image);
        imagefilledrectangle($image, 0, 0, $width, $height, 0x667788);
        ob_start();
        imagepng($image);

        return (string) ob_get_clean();
    }

    /** Says that it is far larger than it is. */
    private static function bomb(): string
    {
        return substr_replace(self::png(10, 10), pack('NN', 60_000, 60_000), 16, 8);
    }

    /** @return array{int|null, string, string} */
    private static function run_(string ...$command): array
    {
        $process = new Process([PHP_BINARY, 'artisan', ...array_values($command)], base_path());
        $process->run();

        return [$process->getExitCode(), $process->getOutput(), $process->getErrorOutput()];
    }
}
