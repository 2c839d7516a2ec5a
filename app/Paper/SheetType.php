<?php

declare(strict_types=1);

namespace App\Paper;

use Dompdf\Cpdf;
use Dompdf\Dompdf;
use Dompdf\Options;
use KeenSeam\Core\Drawing\TypeWidths;

/**
 * The type of sheets: that of the screens, and where a name has letters that it lacks, one that has nearly all. The package
 * ships it packed for browsers; a PDF wants it unpacked, which is done once and kept.
 */
final class SheetType implements TypeWidths
{
    private const FAMILY = 'sheet';

    private const SPARE = 'dejavu sans';

    /** Letters that the shipped part of the type has: Latin-1 and the usual signs. */
    private const OWN = '~[^\x{20}-\x{7e}\x{a0}-\x{ff}\x{2010}-\x{2015}\x{2018}-\x{201e}\x{2022}\x{2026}\x{2044}\x{2212}]+~u';

    private readonly Dompdf $dompdf;

    /** @var array<string, float> by letter and weight, for size 1 */
    private array $widths = [];

    public function __construct()
    {
        $folder = storage_path('framework/type');
        if (! is_dir($folder)) {
            mkdir($folder, 0o775, true);
        }
        $options = new Options();
        $options->setChroot([$folder, base_path('vendor/dompdf')]);
        $options->setFontDir($folder);
        $options->setFontCache($folder);
        $options->setIsRemoteEnabled(false);
        $this->dompdf = new Dompdf($options);
        foreach (['normal' => 400, 'bold' => 700] as $weight => $number) {
            $file = $folder."/source-sans-3-$number.ttf";
            if (! is_file($file)) {
                file_put_contents($file.'.part', self::unpacked((string) file_get_contents(base_path("node_modules/@fontsource/source-sans-3/files/source-sans-3-latin-$number-normal.woff"))));
                rename($file.'.part', $file);
            }
            $this->dompdf->getFontMetrics()->registerFont(['family' => self::FAMILY, 'weight' => $weight, 'style' => 'normal'], $file);
        }
    }

    /**
     * @param float $width and $height of its pages, in points
     *
     * @return Cpdf a new document in which this type can be set
     */
    public function document(float $width, float $height): Cpdf
    {
        return new Cpdf([0, 0, $width, $height], true, $this->dompdf->getOptions()->getFontCache(), sys_get_temp_dir());
    }

    /**
     * The words in the order they stand, each run with the file of its type.
     *
     * @return list<array{string, string}>
     */
    public function runs(string $text, bool $isBold): array
    {
        $runs = [];
        $from = 0;
        preg_match_all(self::OWN, $text, $others, PREG_OFFSET_CAPTURE);
        foreach ($others[0] as [$other, $at]) {
            $runs[] = [substr($text, $from, $at - $from), $this->file(self::FAMILY, $isBold)];
            $runs[] = [$other, $this->file(self::SPARE, $isBold)];
            $from = $at + strlen($other);
        }
        $runs[] = [substr($text, $from), $this->file(self::FAMILY, $isBold)];

        return array_values(array_filter($runs, static fn (array $run): bool => $run[0] !== ''));
    }

    public function width(string $text, float $size, bool $isBold): float
    {
        $width = 0.0;
        foreach (mb_str_split($text) as $letter) {
            $width += $this->widths[$letter.($isBold ? '*' : '')] ??= $this->measured($letter, $isBold);
        }

        return $width * $size;
    }

    private function measured(string $letter, bool $isBold): float
    {
        [[$run, $file]] = $this->runs($letter, $isBold);

        return $this->dompdf->getFontMetrics()->getTextWidth($run, $file, 1000) / 1000;
    }

    private function file(string $family, bool $isBold): string
    {
        return $this->dompdf->getFontMetrics()->getFont($family, $isBold ? 'bold' : 'normal') ?? throw new \LogicException('The type is registered.');
    }

    /**
     * From WOFF to the TrueType file in it (W3C, WOFF File Format 1.0, sections 3 to 5).
     *
     * @throws \RuntimeException when it is none
     */
    public static function unpacked(string $woff): string
    {
        $header = unpack('a4signature/Nflavor/Nlength/ncount', $woff);
        if ($header === false || $header['signature'] !== 'wOFF') {
            throw new \RuntimeException('The type is no WOFF file.');
        }
        $count = $header['count'];
        $power = (int) floor(log($count, 2));
        $offset = 12 + 16 * $count;
        $directory = pack('Nnnnn', $header['flavor'], $count, 16 << $power, $power, 16 * $count - (16 << $power));
        $tables = '';
        for ($i = 0; $i < $count; ++$i) {
            $entry = unpack('a4tag/Noffset/Npacked/Nlength/Nchecksum', $woff, 44 + 20 * $i);
            if ($entry === false) {
                throw new \RuntimeException('The type is not whole.');
            }
            $table = substr($woff, $entry['offset'], $entry['packed']);
            $table = $entry['packed'] < $entry['length'] ? (string) gzuncompress($table) : $table;
            $directory .= pack('a4NNN', $entry['tag'], $entry['checksum'], $offset + strlen($tables), $entry['length']);
            $tables .= str_pad($table, 4 * (int) ceil(strlen($table) / 4), "\0");
        }

        return $directory.$tables;
    }
}
