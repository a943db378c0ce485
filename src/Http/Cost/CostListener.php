<?php

declare(strict_types=1);

namespace Lustrum\Http\Cost;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Event\ResponseEvent;
use Symfony\Component\HttpKernel\KernelEvents;

/** Says in a header what an answer took: time of the processor in ms, greatest memory in MB, statements. Only where measured. */
final class CostListener
{
    private float $began = 0.0;

    public function __construct(
        private readonly QueryCount $count,
        #[Autowire('%env(bool:LUSTRUM_MEASURE)%')]
        private readonly bool $measures,
    ) {
    }

    #[AsEventListener(KernelEvents::REQUEST, priority: 4096)]
    public function begin(RequestEvent $event): void
    {
        if ($this->measures && $event->isMainRequest()) {
            $this->began = self::processor();
            $this->count->reset();
            memory_reset_peak_usage();
        }
    }

    #[AsEventListener(KernelEvents::RESPONSE, priority: -4096)]
    public function end(ResponseEvent $event): void
    {
        if ($this->measures && $event->isMainRequest()) {
            $event->getResponse()->headers->set('X-Cost', sprintf(
                'cpu=%.1f memory=%.1f queries=%d', self::processor() - $this->began, memory_get_peak_usage() / 1e6, $this->count->total(),
            ));
        }
    }

    /** Milliseconds of the processor that this process has used, its own and the system's for it. */
    private static function processor(): float
    {
        $use = getrusage();

        return $use === false ? 0.0 : 1e3 * ($use['ru_utime.tv_sec'] + $use['ru_stime.tv_sec']) + 1e-3 * ($use['ru_utime.tv_usec'] + $use['ru_stime.tv_usec']);
    }
}
