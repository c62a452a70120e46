#include "desktop/footage/panel_form.h"
#include "desktop/footage/panels.h"

#include "casebook/text.h"
namespace riflesso {

AnglesPanel::AnglesPanel(Workbench& bench) : TakePanel(bench) {
    m_beside = new QComboBox;
    m_beside->setObjectName("beside");
    m_beside->setAccessibleName(tr("The take beside it"));
    m_share = new QPushButton(tr("Both show the same instant now"));
    m_share->setObjectName("share");
    m_share->setToolTip(
        tr("Step each film to the same instant: Ctrl+arrows step the one beside. One such instant gives "
           "the offset, two and more the rate of the cameras too."));
    m_sound = new QPushButton(tr("Lock by their sound"));
    m_sound->setObjectName("bySound");
    m_unlock = new QPushButton(tr("Unlock"));
    m_unlock->setObjectName("unlock");
    m_answer = wrapped({});
    m_answer->setObjectName("lockAnswer");
    m_list = new QVBoxLayout;
    m_list->setSpacing(2);
    m_all->addWidget(wrapped(tr("Another angle beside it"), "strong"));
    m_all->addWidget(m_beside);
    m_all->addWidget(m_share);
    m_all->addWidget(m_sound);
    m_all->addWidget(m_answer);
    m_all->addLayout(m_list);
    m_all->addWidget(m_unlock);
    m_all->addStretch();
    connect(m_beside, &QComboBox::activated, this, [this] {
        refresh();
        emit besideChanged();
    });
    connect(m_share, &QPushButton::clicked, this, &AnglesPanel::share);
    connect(m_sound, &QPushButton::clicked, this, &AnglesPanel::soundWanted);
    connect(m_unlock, &QPushButton::clicked, this, [this] {
        if (const Link* l = link())
            m_bench.book().removeLink(l->id);
    });
}

Id AnglesPanel::beside() const {
    const Id id = m_beside->currentData().toLongLong();
    return m_bench.data().takes.contains(id) ? id : 0;
}

const Link* AnglesPanel::link() const {
    const Take* take = m_bench.take();
    const Id other = beside();
    if (take && other)
        for (const auto& [id, l] : m_bench.data().links)
            if ((l.a == take->id && l.b == other) || (l.b == take->id && l.a == other))
                return &l;
    return nullptr;
}

void AnglesPanel::share() {
    const Take* take = m_bench.take();
    const Id other = beside();
    if (!take || !other)
        return;
    const FrameIndex here(m_bench.frame()), there(m_otherFrame);
    if (const Link* l = link()) {
        Link changed = *l;
        changed.shared.emplace_back(l->a == take->id ? here : there, l->a == take->id ? there : here);
        if (const auto lock = lockOf(m_bench.data(), changed); !lock) {
            emit failed(q(lock.error().text()));
            return;
        }
        m_bench.book().setLink(changed, tr("share an instant"));
    } else {
        Link made;
        made.a = take->id;
        made.b = other;
        made.shared = {{here, there}};
        m_bench.book().addLink(made);
    }
}

void AnglesPanel::refresh() {
    const Take* take = m_bench.take();
    setEnabled(take);
    clearLayout(m_list);
    if (!take)
        return;
    const Id chosen = beside();
    Id linked = 0;
    for (const auto& [id, l] : m_bench.data().links)
        if (l.a == take->id || l.b == take->id)
            linked = l.a == take->id ? l.b : l.a;
    m_filling = true;
    m_beside->clear();
    m_beside->addItem(tr("none"), QVariant::fromValue<qlonglong>(0));
    for (const auto& [id, t] : m_bench.data().takes)
        if (id != take->id)
            m_beside->addItem(q(t.title), QVariant::fromValue<qlonglong>(id));
    // What is locked stands beside by itself.
    const int at = m_beside->findData(QVariant::fromValue<qlonglong>(chosen && chosen != take->id ? chosen : linked));
    m_beside->setCurrentIndex(std::max(0, at));
    m_filling = false;
    const Id other = beside();
    m_share->setEnabled(other != 0);
    m_sound->setEnabled(other != 0 && !link());
    m_unlock->setVisible(link() != nullptr);
    const Link* l = link();
    if (!other) {
        m_answer->setText(
            m_bench.data().takes.size() < 2
                ? tr("There is only one film in this case.")
                : tr("Choose a film of the same movement. Locked films step together, and a key position set in "
                     "one is set in all."));
    } else if (!l) {
        m_answer->setText(tr("Not locked. Step both to the same instant (Ctrl+arrows step the one beside) and say so, "
                             "or let the sound decide."));
    } else if (const auto lock = lockOf(m_bench.data(), *l); !lock) {
        m_answer->setText(q(lock.error().text()));
    } else {
        QString words = tr("Locked: the other is %1 s %2, ± %3 ms.")
                            .arg(shownFigure(std::abs(lock->offset), 3))
                            .arg((lock->offset < 0) == (l->a == take->id) ? tr("behind") : tr("ahead"))
                            .arg(shownFigure(1000 * lock->uOffset, 1));
        if (l->sound && l->shared.empty())
            words += tr(" By sound: the best place is %1 times as clear as the next.")
                         .arg(shownFigure(l->sound->quality, 1));
        if (l->shared.size() > 1)
            words += tr(" Its clock runs %1 times as fast (± %2).")
                         .arg(shownFigure(lock->rate, 4))
                         .arg(shownFigure(lock->uRate, 4));
        m_answer->setText(words);
        for (std::size_t i = 0; i < l->shared.size(); ++i) {
            const QString text = tr("frame %1 with %2, off by %3 ms")
                                     .arg(l->shared[i].first.value + 1)
                                     .arg(l->shared[i].second.value + 1)
                                     .arg(shownFigure(1000 * lock->residuals[i], 1));
            m_list->addWidget(removable(text, [this, i] {
                const Link* now = link();
                if (!now)
                    return;
                Link changed = *now;
                changed.shared.erase(changed.shared.begin() + static_cast<std::ptrdiff_t>(i));
                if (changed.shared.empty() && !changed.sound)
                    m_bench.book().removeLink(changed.id);
                else
                    m_bench.book().setLink(changed, tr("take a shared instant away"));
            }));
        }
    }
}

} // namespace riflesso
