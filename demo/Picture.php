<?php

declare(strict_types=1);

/**
 * Draws the demo photographs with GD: procedural ground, metal, plastic and light, seeded, 1280 × 960.
 *
 * Each scene paints into a raw picture; finish() lays lens shading and grain over it, as a camera would.
 */
final class Picture
{
    private const WIDTH = 1280;
    private const HEIGHT = 960;

    private GdImage $im;

    public function __construct(int $seed)
    {
        mt_srand($seed);
        $this->im = $this->canvas(self::WIDTH, self::HEIGHT);
    }

    public static function draw(string $scene, int $seed, string $file): void
    {
        $picture = new self($seed);
        match ($scene) {
            'seeds' => $picture->seeds(), 'tooth' => $picture->tooth(), 'crack' => $picture->crack(), 'furrow' => $picture->furrow(),
            'bench' => $picture->bench(), 'dust' => $picture->dust(), 'board' => $picture->board(), 'split' => $picture->split(),
            'lip' => $picture->lip(), 'sky' => $picture->sky(), default => throw new InvalidArgumentException('There is no scene '.$scene),
        };
        $picture->finish($file);
    }

    private function seeds(): void
    {
        $this->ground([52, 56, 50], 10);
        $this->strip(0, 560, self::WIDTH, 90, [201, 178, 84], 8);
        $this->ruler(0, 560, self::WIDTH);
        $x = 40.0;
        while ($x < self::WIDTH - 30) {
            $this->seed($x, 400 + mt_rand(-22, 22), 17, [166, 120, 64]);
            if (mt_rand(0, 9) === 0) {
                $this->seed($x + 15, 410 + mt_rand(-16, 16), 16, [158, 112, 60]);
            }
            $x += 62 + mt_rand(-18, 18) + (mt_rand(0, 14) === 0 ? 64 : 0);
        }
        $this->strip(0, 300, self::WIDTH, 14, [36, 40, 38], 6);
        $this->strip(0, 490, self::WIDTH, 14, [36, 40, 38], 6);
    }

    private function tooth(): void
    {
        $this->ground([120, 96, 70], 14);
        $cx = 620;
        $cy = 980;
        $this->disc($cx + 14, $cy + 18, 720, [60, 46, 34]);
        $this->disc($cx, $cy, 720, [212, 208, 196]);
        $missing = mt_rand(-4, 3);
        for ($i = -14; $i <= 14; ++$i) {
            $a = -M_PI / 2 + $i * 0.087;
            $height = $i === $missing ? 18 : ($i === $missing + 1 ? 44 : 66);
            $this->polygon([[$cx + 710 * cos($a - 0.026), $cy + 710 * sin($a - 0.026)], [$cx + (720 + $height) * cos($a - 0.014), $cy + (720 + $height) * sin($a - 0.014)], [$cx + (720 + $height - ($i === $missing ? 10 : 0)) * cos($a + 0.014), $cy + (720 + $height) * sin($a + 0.014)], [$cx + 710 * cos($a + 0.026), $cy + 710 * sin($a + 0.026)]], [206, 202, 190]);
        }
        for ($i = -16; $i <= 16; ++$i) {
            $a = -M_PI / 2 + $i * 0.1;
            $this->disc((int) ($cx + 600 * cos($a)), (int) ($cy + 600 * sin($a)), 17, [84, 78, 70]);
            $this->disc((int) ($cx + 600 * cos($a)) + 3, (int) ($cy + 600 * sin($a)) + 4, 13, [54, 48, 44]);
        }
        $a = -M_PI / 2 + $missing * 0.087;
        for ($i = 0; $i < 26; ++$i) {
            $this->disc(
                (int) ($cx + (744 + mt_rand(0, 120)) * cos($a + mt_rand(-40, 40) / 400)),
                (int) ($cy + (744 + mt_rand(0, 120)) * sin($a)), mt_rand(1, 4), [224, 220, 208],
            );
        }
    }

    private function crack(): void
    {
        $this->ground([92, 90, 84], 9);
        $this->polygon([[180, 0], [520, 0], [560, 520], [1280, 600], [1280, 860], [420, 770], [250, 640]], [60, 60, 58]);
        $this->polygon([[160, 0], [500, 0], [540, 500], [1280, 580], [1280, 830], [400, 745], [230, 620]], [168, 171, 172]);
        $this->brushed(160, 0, 1280, 830);
        foreach ([[330, 160], [980, 700]] as [$x, $y]) {
            $this->disc($x, $y, 58, [110, 112, 114]);
            $this->disc($x - 4, $y - 5, 50, [146, 149, 150]);
            $this->polygon(
                array_map(static fn (int $k): array => [$x - 4 + 34 * cos($k * M_PI / 3), $y - 5 + 34 * sin($k * M_PI / 3)], range(0, 5)),
                [104, 106, 108],
            );
        }
        $x = 246.0;
        $y = 600.0;
        imagesetthickness($this->im, 6);
        while ($x < 610) {
            $nx = $x + mt_rand(8, 22);
            $ny = $y - mt_rand(-9, 17);
            imagesetthickness($this->im, (int) max(1, 7 - ($x - 246) / 62));
            imageline($this->im, (int) $x, (int) $y, (int) $nx, (int) $ny, $this->ink([26, 24, 24]));
            imageline($this->im, (int) $x, (int) $y + 4, (int) $nx, (int) $ny + 4, $this->ink([206, 208, 210]));
            [$x, $y] = [$nx, $ny];
        }
        imagesetthickness($this->im, 1);
    }

    private function furrow(): void
    {
        $this->ground([98, 74, 52], 26);
        for ($y = 0; $y < self::HEIGHT; ++$y) {
            $depth = $y / self::HEIGHT;
            $half = 34 + 120 * $depth;
            $centre = 640 + 26 * sin($y / 190.0) * $depth;
            for ($k = -10; $k <= 10; ++$k) {
                $shade = (int) (58 - 46 * abs($k) / 10);
                imageline(
                    $this->im, (int) ($centre + $half * ($k - 1) / 10), $y, (int) ($centre + $half * $k / 10), $y,
                    $this->veil([24, 16, 10], 127 - $shade),
                );
            }
        }
        for ($y = 60; $y < self::HEIGHT; $y += (int) (16 + 58 * $y / self::HEIGHT)) {
            $depth = $y / self::HEIGHT;
            $this->seed(640 + 26 * sin($y / 190.0) * $depth + mt_rand(-6, 6), $y + mt_rand(-5, 5), 4 + 9 * $depth, [190, 150, 88]);
        }
        for ($i = 0; $i < 260; ++$i) {
            $y = mt_rand(0, self::HEIGHT);
            $x = mt_rand(0, 1) === 1 ? mt_rand(0, 430) : mt_rand(850, self::WIDTH);
            $r = 3 + (int) (20 * ($y / self::HEIGHT) * mt_rand(20, 100) / 100);
            $this->disc($x + 3, $y + 4, $r, [50, 36, 24]);
            $this->disc($x, $y, $r, [112 + mt_rand(-14, 14), 86 + mt_rand(-10, 10), 60]);
        }
    }

    private function bench(): void
    {
        $this->fillDown([206, 200, 188], [176, 168, 154], 0, 520);
        for ($i = 0; $i < 7; ++$i) {
            $this->strip(0, 520 + 64 * $i, self::WIDTH, 62, [150 + mt_rand(-10, 10), 112 + mt_rand(-8, 8), 72], 9);
        }
        $this->polygon([[250, 640], [330, 170], [370, 170], [300, 640]], [70, 84, 96]);
        $this->polygon([[900, 640], [860, 170], [900, 170], [952, 640]], [70, 84, 96]);
        $this->strip(320, 160, 590, 34, [84, 98, 110], 4);
        $this->strip(600, 194, 22, 150, [150, 152, 152], 3);
        $this->polygon([[520, 340], [706, 340], [746, 430], [480, 430]], [176, 178, 178]);
        $this->disc(613, 520, 96, [40, 40, 42]);
        $this->disc(613, 520, 74, [196, 192, 180]);
        for ($i = 0; $i < 25; ++$i) {
            $this->disc((int) (613 + 58 * cos($i * M_PI / 12.5)), (int) (520 + 58 * sin($i * M_PI / 12.5)), 5, [84, 78, 70]);
        }
        $this->strip(1000, 470, 200, 130, [48, 52, 56], 3);
        $this->strip(1020, 490, 110, 46, [150, 178, 140], 2);
        imagesetthickness($this->im, 5);
        for ($k = 0; $k < 3; ++$k) {
            imagearc(
                $this->im, 860, 560 + 20 * $k, 330, 200 - 30 * $k, 20, 170,
                $this->ink([[170, 48, 40], [38, 38, 40], [208, 178, 60]][$k]),
            );
        }
        imagesetthickness($this->im, 1);
    }

    private function dust(): void
    {
        $this->fillDown([58, 62, 66], [32, 34, 38], 0, self::HEIGHT);
        $this->disc(640, 480, 420, [20, 22, 26]);
        $this->disc(632, 470, 400, [44, 50, 58]);
        $this->disc(640, 480, 330, [18, 30, 36]);
        for ($i = 0; $i < 60; ++$i) {
            imageline($this->im, 420 + 2 * $i, 760 - 4 * $i, 560 + 2 * $i, 330 - $i, $this->veil([150, 190, 200], 122));
        }
        for ($i = 0; $i < 5200; ++$i) {
            $a = mt_rand(0, 628) / 100;
            $r = 330 * sqrt(mt_rand(0, 1000) / 1000);
            $y = 480 + $r * sin($a);
            if ($y < 430 && mt_rand(0, 3) > 0) {
                continue;
            }
            $this->disc((int) (640 + $r * cos($a)), (int) $y, mt_rand(1, 4), [176 + mt_rand(-22, 22), 158 + mt_rand(-20, 20), 126]);
        }
        for ($i = 0; $i < 4; ++$i) {
            $a = M_PI / 4 + $i * M_PI / 2;
            $this->disc((int) (640 + 372 * cos($a)), (int) (480 + 372 * sin($a)), 22, [150, 152, 154]);
            $this->disc((int) (640 + 372 * cos($a)), (int) (480 + 372 * sin($a)), 10, [66, 68, 70]);
        }
    }

    private function board(): void
    {
        $this->ground([140, 112, 78], 8);
        $this->strip(170, 130, 960, 690, [24, 82, 62], 7);
        imagesetthickness($this->im, 4);
        for ($i = 0; $i < 46; ++$i) {
            $x = mt_rand(190, 1090);
            $y = mt_rand(150, 790);
            imageline($this->im, $x, $y, $x + mt_rand(-150, 150), $y, $this->ink([38, 112, 84]));
            imageline($this->im, $x, $y, $x, $y + mt_rand(-110, 110), $this->ink([38, 112, 84]));
        }
        imagesetthickness($this->im, 1);
        foreach ([[430, 300, 190, 190], [760, 520, 150, 110], [300, 620, 90, 60], [900, 240, 110, 150]] as [$x, $y, $w, $h]) {
            $this->strip($x, $y, $w, $h, [34, 34, 36], 4);
            for ($k = 0; $k < 8; ++$k) {
                $this->strip($x - 16, $y + (int) ($h * ($k + 0.3) / 8), 16, 7, [190, 190, 184], 2);
                $this->strip($x + $w, $y + (int) ($h * ($k + 0.3) / 8), 16, 7, [190, 190, 184], 2);
            }
        }
        for ($r = 150; $r > 0; $r -= 3) {
            imagefilledellipse($this->im, 525, 395, 2 * $r + 80, 2 * $r, $this->veil([66, 34, 10], 126));
        }
    }

    private function split(): void
    {
        $this->ground([112, 90, 64], 18);
        $this->polygon([[240, 110], [1060, 90], [960, 800], [350, 810]], [36, 60, 78]);
        $this->polygon([[226, 96], [1046, 76], [946, 780], [336, 790]], [62, 104, 132]);
        for ($i = 0; $i < 90; ++$i) {
            imageline($this->im, 230 + $i * 8, 96, 340 + (int) ($i * 6.2), 788, $this->veil([220, 236, 244], 124));
        }
        imagesetthickness($this->im, 3);
        imageline($this->im, 640, 84, 646, 786, $this->ink([88, 138, 168]));
        imagesetthickness($this->im, 1);
        $points = [];
        $back = [];
        for ($y = 380; $y <= 788; $y += 24) {
            $open = (int) (34 * ($y - 380) / 408 + mt_rand(0, 6));
            $points[] = [644 - $open, $y];
            $back[] = [646 + $open, $y];
        }
        $this->polygon([...$points, ...array_reverse($back)], [22, 18, 16]);
        for ($i = 0; $i < 340; ++$i) {
            $this->seed(640 + mt_rand(-260, 260) * mt_rand(20, 100) / 100, 800 + mt_rand(0, 140), mt_rand(6, 10), [176, 130, 70]);
        }
    }

    private function lip(): void
    {
        $this->ground([70, 70, 72], 8);
        $this->disc(640, 1180, 800, [200, 196, 184]);
        for ($i = -9; $i <= 9; ++$i) {
            $a = -M_PI / 2 + $i * 0.1;
            $this->disc((int) (640 + 660 * cos($a)), (int) (1180 + 660 * sin($a)), 18, [70, 64, 58]);
        }
        $this->polygon([[420, 120], [880, 120], [850, 560], [760, 590], [700, 500], [640, 566], [560, 520], [470, 580]], [28, 28, 30]);
        $this->polygon([[410, 110], [870, 110], [840, 540], [756, 572], [700, 480], [640, 548], [560, 500], [462, 560]], [58, 56, 56]);
        for ($i = 0; $i < 160; ++$i) {
            $this->disc(mt_rand(470, 830), mt_rand(540, 660), mt_rand(1, 4), [40, 38, 38]);
        }
    }

    private function sky(): void
    {
        $this->fillDown([112, 150, 190], [206, 218, 224], 0, 700);
        for ($i = 0; $i < 30; ++$i) {
            $x = mt_rand(0, self::WIDTH);
            $y = mt_rand(60, 460);
            for ($k = 0; $k < 14; ++$k) {
                imagefilledellipse(
                    $this->im, $x + mt_rand(-90, 90), $y + mt_rand(-18, 18), mt_rand(60, 190), mt_rand(20, 60),
                    $this->veil([244, 246, 248], 118),
                );
            }
        }
        $this->fillDown([92, 116, 70], [74, 92, 54], 700, self::HEIGHT);
        for ($i = 0; $i < 6; ++$i) {
            $this->polygon([[200 + 170 * $i, 705], [250 + 170 * $i, 705], [150 + 230 * $i, 960], [30 + 230 * $i, 960]], [112, 88, 62]);
        }
        $x = mt_rand(520, 820);
        $y = mt_rand(120, 220);
        $this->polygon([[$x, $y - 80], [$x + 64, $y], [$x, $y + 110], [$x - 64, $y]], [178, 60, 44]);
        $this->polygon([[$x, $y - 80], [$x + 64, $y], [$x, $y]], [204, 88, 60]);
        imagesetthickness($this->im, 2);
        $cradle = [$x - 70, $y + 300];
        imageline($this->im, $x, $y + 20, $cradle[0], $cradle[1], $this->ink([60, 60, 62]));
        imageline($this->im, $cradle[0], $cradle[1], $cradle[0] - 240, 930, $this->ink([70, 70, 72]));
        imagesetthickness($this->im, 7);
        imageline($this->im, $cradle[0] - 46, $cradle[1] + 26, $cradle[0] + 46, $cradle[1] + mt_rand(18, 36), $this->ink([48, 48, 50]));
        imagesetthickness($this->im, 1);
        $this->strip($cradle[0] - 22, $cradle[1] + 36, 44, 30, [34, 34, 38], 2);
    }

    /**
     * Uneven ground or table: noise in several sizes over one colour.
     *
     * @param array{int, int, int} $colour
     */
    private function ground(array $colour, int $rough): void
    {
        imagefill($this->im, 0, 0, $this->ink($colour));
        foreach ([[20, 15, 60], [80, 60, 40], [320, 240, 26]] as [$w, $h, $strength]) {
            $small = $this->canvas($w, $h);
            for ($y = 0; $y < $h; ++$y) {
                for ($x = 0; $x < $w; ++$x) {
                    $d = mt_rand(-$rough, $rough);
                    imagesetpixel($small, $x, $y, self::clamp($small, $colour[0] + $d * 2, $colour[1] + $d * 2, $colour[2] + $d * 2));
                }
            }
            $large = imagescale($small, self::WIDTH, self::HEIGHT, \IMG_BICUBIC);
            imagecopymerge($this->im, $large, 0, 0, 0, 0, self::WIDTH, self::HEIGHT, $strength);
        }
        for ($i = 0; $i < 900 * $rough; ++$i) {
            $d = mt_rand(-3 * $rough, 3 * $rough);
            imagesetpixel(
                $this->im, mt_rand(0, self::WIDTH - 1), mt_rand(0, self::HEIGHT - 1),
                self::clamp($this->im, $colour[0] + $d, $colour[1] + $d, $colour[2] + $d),
            );
        }
    }

    private function seed(float $x, float $y, float $size, array $colour): void
    {
        imagefilledellipse(
            $this->im, (int) ($x + $size * 0.3), (int) ($y + $size * 0.4), (int) ($size * 1.7), (int) ($size * 1.3),
            $this->veil([10, 8, 6], 70),
        );
        imagefilledellipse($this->im, (int) $x, (int) $y, (int) ($size * 1.6), (int) ($size * 1.2), $this->ink($colour));
        imagefilledellipse(
            $this->im, (int) ($x - $size * 0.22), (int) ($y - $size * 0.2), (int) ($size * 0.7), (int) ($size * 0.4),
            $this->veil([244, 226, 190], 70),
        );
    }

    private function ruler(int $x, int $y, int $width): void
    {
        for ($mm = 0; $mm * 6.4 < $width; ++$mm) {
            $length = $mm % 10 === 0 ? 42 : ($mm % 5 === 0 ? 30 : 18);
            imagefilledrectangle($this->im, (int) ($x + $mm * 6.4), $y, (int) ($x + $mm * 6.4) + 1, $y + $length, $this->ink([40, 34, 20]));
            if ($mm % 10 === 0) {
                imagestring($this->im, 5, (int) ($x + $mm * 6.4) + 5, $y + 46, (string) ($mm / 10), $this->ink([40, 34, 20]));
            }
        }
    }

    /** @param array{int, int, int} $colour */
    private function strip(int $x, int $y, int $w, int $h, array $colour, int $rough): void
    {
        for ($i = 0; $i < $h; ++$i) {
            $d = mt_rand(-$rough, $rough) + (int) (12 * (0.5 - $i / max(1, $h)));
            imageline(
                $this->im, $x, $y + $i, $x + $w - 1, $y + $i,
                self::clamp($this->im, $colour[0] + $d, $colour[1] + $d, $colour[2] + $d),
            );
        }
    }

    private function brushed(int $x0, int $y0, int $x1, int $y1): void
    {
        for ($i = 0; $i < 2600; ++$i) {
            $x = mt_rand($x0, $x1);
            $y = mt_rand($y0, $y1);
            $at = imagecolorat($this->im, min(self::WIDTH - 1, $x), min(self::HEIGHT - 1, $y));
            if ((($at >> 16) & 255) > 140) {
                imageline(
                    $this->im, $x, $y, $x + mt_rand(20, 90), $y + mt_rand(-2, 2),
                    $this->veil(mt_rand(0, 1) === 1 ? [230, 232, 234] : [110, 112, 114], 108),
                );
            }
        }
    }

    private function fillDown(array $top, array $bottom, int $from, int $to): void
    {
        for ($y = $from; $y < $to; ++$y) {
            $k = ($y - $from) / max(1, $to - $from);
            imageline($this->im, 0, $y, self::WIDTH, $y, self::clamp(
                $this->im, (int) ($top[0] + $k * ($bottom[0] - $top[0])), (int) ($top[1] + $k * ($bottom[1] - $top[1])),
                (int) ($top[2] + $k * ($bottom[2] - $top[2])),
            ));
        }
    }

    private function disc(int $x, int $y, int $r, array $colour): void
    {
        imagefilledellipse($this->im, $x, $y, 2 * $r, 2 * $r, $this->ink($colour));
    }

    /** @param list<array{float|int, float|int}> $points */
    private function polygon(array $points, array $colour): void
    {
        imagefilledpolygon(
            $this->im, array_merge(...array_map(static fn (array $p): array => [(int) $p[0], (int) $p[1]], $points)),
            $this->ink($colour),
        );
    }

    private function ink(array $c): int
    {
        return (int) imagecolorallocate($this->im, $c[0], $c[1], $c[2]);
    }

    private function veil(array $c, int $alpha): int
    {
        return (int) imagecolorallocatealpha($this->im, $c[0], $c[1], $c[2], max(0, min(127, $alpha)));
    }

    private static function clamp(GdImage $im, int $r, int $g, int $b): int
    {
        return (int) imagecolorallocate($im, max(0, min(255, $r)), max(0, min(255, $g)), max(0, min(255, $b)));
    }

    private function canvas(int $w, int $h): GdImage
    {
        $im = imagecreatetruecolor(max(1, $w), max(1, $h));
        if ($im === false) {
            throw new RuntimeException('GD cannot make a picture.');
        }

        return $im;
    }

    private function finish(string $file): void
    {
        imagefilter($this->im, \IMG_FILTER_GAUSSIAN_BLUR);
        // Darker corners, as a small lens gives, and the grain of a phone's sensor.
        $shade = $this->canvas(64, 48);
        imagealphablending($shade, false);
        for ($y = 0; $y < 48; ++$y) {
            for ($x = 0; $x < 64; ++$x) {
                $d = hypot(($x - 30) / 32, ($y - 20) / 26);
                imagesetpixel($shade, $x, $y, (int) imagecolorallocatealpha($shade, 0, 0, 0, (int) max(
                    64, 127 - 34 * max(0.0, $d - 0.45),
                )));
            }
        }
        imagesavealpha($shade, true);
        imagecopyresampled($this->im, $shade, 0, 0, 0, 0, self::WIDTH, self::HEIGHT, 64, 48);
        for ($i = 0; $i < 90000; ++$i) {
            imagesetpixel(
                $this->im, mt_rand(0, self::WIDTH - 1), mt_rand(0, self::HEIGHT - 1),
                $this->veil(mt_rand(0, 1) === 1 ? [255, 255, 255] : [0, 0, 0], 116),
            );
        }
        imagejpeg($this->im, $file, 84);
    }
}
