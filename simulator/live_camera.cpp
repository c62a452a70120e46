#include "simulator/live_camera.h"

#include "simulator/film_maker.h"

#include <chrono>
#include <cmath>
#include <thread>

namespace riflesso {
namespace {

class SimulatedLive : public Camera {
public:
    explicit SimulatedLive(const LiveCameraOptions& o) : m_options(o), m_recipe(recipe(o)), m_take(m_recipe) {}

    std::string name() const override { return "Simulated camera"; }
    Hertz rate() const override { return m_options.rate; }
    Status start() override {
        if (!m_options.busy.empty())
            return Error{m_options.busy, name(), "nothing was recorded", "close that program and try again"};
        m_renderer = std::make_unique<Renderer>(m_recipe.camera, m_recipe.outfit);
        m_frame = 0;
        m_began = std::chrono::steady_clock::now();
        return Done{};
    }
    Result<LivePicture> next() override {
        double t = m_frame / m_options.rate.value;
        if (m_options.paced) {
            // A camera that is late leaves pictures out; it does not fall behind.
            const double now = std::chrono::duration<double>(std::chrono::steady_clock::now() - m_began).count();
            m_frame = std::max(m_frame, static_cast<int>(now * m_options.rate.value));
            t = m_frame / m_options.rate.value;
            std::this_thread::sleep_until(
                m_began + std::chrono::duration_cast<std::chrono::nanoseconds>(std::chrono::duration<double>(t)));
        }
        if (m_options.stopsAfter > 0.0 && t >= m_options.stopsAfter)
            return Error{"the camera gives no more pictures", name(), "what was recorded so far is kept",
                         "is it still plugged in?"};
        ++m_frame;
        const auto body = [this](double at) { return m_take.bodyAt(std::fmod(at, m_take.duration())); };
        return LivePicture{t,
                           std::make_shared<const Picture>(m_renderer->frame(t, body, static_cast<unsigned>(m_frame)))};
    }
    void stop() override { m_renderer.reset(); }

private:
    static FilmRecipe recipe(const LiveCameraOptions& o) {
        FilmRecipe r;
        r.reps = 4;
        r.seed = 7;
        r.faults.handLate = 0.2;
        const double scale = o.width / static_cast<double>(r.camera.width);
        r.camera.focal *= scale;
        r.camera.width = o.width & ~1;
        r.camera.height = static_cast<int>(std::lround(r.camera.height * scale)) & ~1;
        r.camera.captureRate = o.rate.value;
        return r;
    }
    LiveCameraOptions m_options;
    FilmRecipe m_recipe;
    LungeTake m_take;
    std::unique_ptr<Renderer> m_renderer;
    int m_frame = 0;
    std::chrono::steady_clock::time_point m_began;
};

} // namespace

std::unique_ptr<Camera> simulatedCamera(const LiveCameraOptions& options) {
    return std::make_unique<SimulatedLive>(options);
}

} // namespace riflesso
