// Linked to each window's test under ThreadSanitizer. Debian's Qt is not built for it, so everything that crosses a
// thread inside Qt looks like a race: here the calls through which work leaves a thread and arrives on another one say
// so. They stand in the way of Qt's own, which they call.

#include <QCoreApplication>
#include <QFutureInterface>
#include <QRunnable>
#include <QThreadPool>

#include <opencv2/core/utility.hpp>

#include <dlfcn.h>

extern "C" void __tsan_acquire(void* place);
extern "C" void __tsan_release(void* place);

namespace {

template <typename Function> Function next(const char* name) {
    return reinterpret_cast<Function>(dlsym(RTLD_NEXT, name));
}

char events; // one place for all that is sent: it cannot be seen who will get it

// What a pool is given, between the thread that gives it and the one that does it.
class Carried : public QRunnable {
public:
    Carried(QThreadPool* pool, QRunnable* work) : m_pool(pool), m_work(work) {}
    void run() override {
        __tsan_acquire(this);
        const bool mine = m_work->autoDelete();
        m_work->run();
        if (mine)
            delete m_work;
        __tsan_release(&events); // its end is told by an event …
        __tsan_release(m_pool);  // … or waited for
    }

private:
    QThreadPool* m_pool;
    QRunnable* m_work;
};

// The same for what OpenCV does on several threads at once.
class Shared : public cv::ParallelLoopBody {
public:
    explicit Shared(const cv::ParallelLoopBody& work) : m_work(work) { __tsan_release(&m_begun); }
    ~Shared() override { __tsan_acquire(&m_done); }
    void operator()(const cv::Range& part) const override {
        __tsan_acquire(&m_begun);
        m_work(part);
        __tsan_release(&m_done);
    }

private:
    const cv::ParallelLoopBody& m_work;
    mutable char m_begun = 0, m_done = 0;
};

class Arrivals : public QObject {
public:
    using QObject::QObject;
    bool eventFilter(QObject*, QEvent*) override {
        __tsan_acquire(&events);
        return false;
    }
};
void see() {
    QCoreApplication::instance()->installEventFilter(new Arrivals(QCoreApplication::instance()));
}

} // namespace
Q_COREAPP_STARTUP_FUNCTION(see)

void QThreadPool::start(QRunnable* work, int priority) {
    static const auto real = next<void (*)(QThreadPool*, QRunnable*, int)>("_ZN11QThreadPool5startEP9QRunnablei");
    auto* const carried = new Carried(this, work);
    __tsan_release(carried);
    real(this, carried, priority);
}

bool QThreadPool::waitForDone(int msecs) {
    static const auto real = next<bool (*)(QThreadPool*, int)>("_ZN11QThreadPool11waitForDoneEi");
    const bool done = real(this, msecs);
    __tsan_acquire(this);
    return done;
}

bool QMetaObject::invokeMethodImpl(QObject* object, QtPrivate::QSlotObjectBase* slot, Qt::ConnectionType type,
                                   void* result) {
    static const auto real = next<bool (*)(QObject*, QtPrivate::QSlotObjectBase*, Qt::ConnectionType, void*)>(
        "_ZN11QMetaObject16invokeMethodImplEP7QObjectPN9QtPrivate15QSlotObjectBaseEN2Qt14ConnectionTypeEPv");
    __tsan_release(&events);
    return real(object, slot, type, result);
}

void QMetaObject::activate(QObject* sender, const QMetaObject* meta, int index, void** arguments) {
    static const auto real =
        next<void (*)(QObject*, const QMetaObject*, int, void**)>("_ZN11QMetaObject8activateEP7QObjectPKS_iPPv");
    __tsan_release(&events);
    real(sender, meta, index, arguments);
}

// Whoever lets go of a result last destroys it.
bool QFutureInterfaceBase::derefT() const noexcept {
    static const auto real = next<bool (*)(const QFutureInterfaceBase*)>("_ZNK20QFutureInterfaceBase6derefTEv");
    static char counted;
    __tsan_release(&counted);
    const bool others = real(this);
    __tsan_acquire(&counted);
    return others;
}

void QFutureInterfaceBase::waitForFinished() {
    static const auto real = next<void (*)(QFutureInterfaceBase*)>("_ZN20QFutureInterfaceBase15waitForFinishedEv");
    real(this);
    __tsan_acquire(&events);
}

void cv::parallel_for_(const Range& range, const ParallelLoopBody& body, double stripes) {
    static const auto real = next<void (*)(const Range&, const ParallelLoopBody&, double)>(
        "_ZN2cv13parallel_for_ERKNS_5RangeERKNS_16ParallelLoopBodyEd");
    const Shared shared(body);
    real(range, shared, stripes);
}
