<?php

declare(strict_types=1);

namespace Lustrum\Storage;

use Lustrum\Core\Run\Row;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\Refusal;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** Has a drawing in lines (SVG) drawn once, as a picture: nothing of what stands in it runs anywhere, or is fetched. For workers. */
final readonly class Drawings
{
    public function __construct(
        private Limited $limited,
        private Pictures $pictures,
        #[Autowire('%kernel.project_dir%/bin/decode')]
        private string $decoder,
    ) {
    }

    /**
     * @return array{string, string} where its small picture lies, and what was left out of it
     *
     * @throws Refusal where it cannot be drawn
     */
    public function draw(string $path): array
    {
        [$clean, $drawn] = [$path.'-clean.svg', $path.'-drawn.png'];
        try {
            $found = Row::json($this->limited->run(Line::Pictures, ['php', $this->decoder, 'drawing', $path, $clean]));
            $this->limited->run(Line::Pictures, [
                'ffmpeg', '-v', 'error', '-y', '-threads', '2', '-protocol_whitelist', 'file', '-f', 'svg_pipe', '-width', '1600',
                '-height', '1600', '-keep_ar', '1', '-i', 'file:'.$clean, '-frames:v', '1', 'file:'.$drawn,
            ]);
            $preview = $this->pictures->prepare($drawn, true)['preview'];
        } catch (LimitPassed $e) {
            throw Invalid::at('file', $e->getMessage());
        } catch (DecodingFailed) {
            throw Invalid::at('file', 'No picture could be made of it.');
        } finally {
            @unlink($clean);
            @unlink($drawn);
        }
        $note = ($found['script'] ?? false) === true ? 'This drawing carries a script. It is shown as a picture, where nothing runs.' : '';
        $filters = ($found['filters'] ?? false) === true ? 'Its filters (blurs, shadows) are left out of the picture.' : '';

        return [$preview, trim($note.' '.$filters)];
    }
}
