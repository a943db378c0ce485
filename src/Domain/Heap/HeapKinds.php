<?php

declare(strict_types=1);

namespace Lustrum\Domain\Heap;

use Lustrum\Record\Kind;
use Lustrum\Record\Registration;

final class HeapKinds implements Registration
{
    public static function kinds(): array
    {
        return [
            new Kind('heapfile', 'heapfiles', HeapFile::class, HeapFileInput::class, HeapFileView::class, [], ofWorkspace: true),
            new Kind('camera', 'cameras', Camera::class, CameraInput::class, CameraView::class, [], ofWorkspace: true),
        ];
    }
}
